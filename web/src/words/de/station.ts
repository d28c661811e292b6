import type { Translation } from '../translation.ts';

export const station: Translation['station'] = {
  theServerDoesNotAnswerTryAgain: 'Der Server antwortet nicht. Versuchen Sie es noch einmal.',
  tooManyTriesWaitAFewMinutes: 'Zu viele Versuche. Warten Sie ein paar Minuten.',
  thisCodeIsNotValidOrNotAnyMore:
    'Dieser Code gilt nicht oder nicht mehr: er hält zehn Minuten. Holen Sie im Büro einen neuen.',
  thisDeviceIsNotAStationYet: 'Dieses Gerät ist noch keine Station',
  atTheDeskOpenShopAddAStation:
    'Öffnen Sie im Büro Betrieb, legen Sie eine Station an oder wählen Sie eine, und tippen Sie hier ihren Kopplungscode.',
  pairingCode: 'Kopplungscode',
  pairing: 'Wird gekoppelt…',
  pairThisDevice: 'Dieses Gerät koppeln',
  doesThisBrowserWarnOfTheConnection: 'Warnt der Browser vor der Verbindung?',
  thisShopsServerVouchesForItself:
    'Der Server dieses Betriebs bürgt für sich selbst. Vertrauen Sie ihm einmal auf diesem Gerät: die Warnung ist weg, die Kamera geht, und die Station öffnet sich ohne den Server:',
  downloadTheShopsCertificate: 'Zertifikat des Betriebs herunterladen',
  windowsOpenItChooseInstallLocal:
    'Windows: öffnen, Installieren wählen, Lokaler Computer, Vertrauenswürdige Stammzertifizierungsstellen. Android: Einstellungen, Sicherheit, Zertifikat installieren, CA-Zertifikat. iPad: öffnen, Profil installieren, dann Einstellungen, Info, Zertifikatsvertrauen. Linux: in den Einstellungen des Browsers, Zertifikate, Zertifizierungsstellen.',
  closeTheBrowserAndOpenThisPage: 'Schließen Sie den Browser, und öffnen Sie diese Seite wieder.',
};
