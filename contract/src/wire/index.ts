export {
  amountText,
  dayText,
  findIllFormed,
  hoursText,
  idText,
  instantText,
  isIllFormed,
  rateText,
  storedDayText,
  storedInstantText,
  wholeNumber,
} from './values.ts';
