export { dayText, hoursText, idText, instantText, rateText, wholeNumber, amountText } from './values.ts';
