import { hmac } from '@noble/hashes/hmac.js';
import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';

/** The form under which a station keeps a badge of ours. Its body cannot be guessed, so a plain hash hides it. */
export const badgeKey = (code: string): string =>
  `b:${bytesToHex(sha256(utf8ToBytes(code.trim().toUpperCase())))}`;

/** The form under which a station keeps a foreign card. Card numbers can be guessed, so each station has a key of its
 *  own: what one keeps says nothing about another. */
export const cardKey = (stationKey: string, number: string): string =>
  `f:${bytesToHex(hmac(sha256, utf8ToBytes(stationKey), utf8ToBytes(number)))}`;
