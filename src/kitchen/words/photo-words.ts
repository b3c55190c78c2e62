import type { PhotoRefusal } from '@/core/photo/read-drop';

/** Why a photo is not read, and what to do. */
export const PHOTO_REFUSAL_WORDS: Readonly<Record<PhotoRefusal, string>> = {
  dark: 'It is too dark. Turn a light on, and take it again.',
  noPlate: 'No round plate was found. Use a white plate on a darker table, all of it in the picture.',
  plateCut: 'The plate is cut off. Step back until all of it is in the picture.',
  noSauce: 'No sauce was found in the middle of the plate.',
  sameColour: 'Sauce and plate have the same colour. Use a plate of another colour, or a ruler.',
  blurred: 'The picture is blurred. Hold still, or lean on the table.',
  runsOver: 'The sauce has run onto the rim of the plate. Use a larger plate, or a ruler.',
  notRound: 'The sauce is not round in the picture. Take hands away, and keep a lamp’s reflection off its edge.',
};
