export { StationEntity } from './entities.ts';
export { offerPairing } from './pairing.ts';
