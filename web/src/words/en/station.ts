export const station = {
  theServerDoesNotAnswerTryAgain: 'The server does not answer. Try again.',
  tooManyTriesWaitAFewMinutes: 'Too many tries. Wait a few minutes.',
  thisCodeIsNotValidOrNotAnyMore:
    'This code is not valid, or not any more: it holds for ten minutes. Get a new one at the desk.',
  thisDeviceIsNotAStationYet: 'This device is not a station yet',
  atTheDeskOpenShopAddAStation:
    'At the desk, open Shop, add a station or choose one, and type its pairing code here.',
  pairingCode: 'Pairing code',
  pairing: 'Pairing…',
  pairThisDevice: 'Pair this device',
  doesThisBrowserWarnOfTheConnection: 'Does this browser warn of the connection?',
  thisShopsServerVouchesForItself:
    'This shop’s server vouches for itself. Trust it once on this device and the warning is gone, the camera works, and the station opens without the server:',
  downloadTheShopsCertificate: 'Download the shop’s certificate',
  windowsOpenItChooseInstallLocal:
    'Windows: open it, choose Install, Local Machine, Trusted Root Certification Authorities. Android: Settings, Security, Install a certificate, CA certificate. iPad: open it, install the profile, then Settings, About, Certificate Trust. Linux: the browser’s own settings, Certificates, Authorities.',
  closeTheBrowserAndOpenThisPage: 'Close the browser, and open this page again.',
} as const;
