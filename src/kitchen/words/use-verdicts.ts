import { lookUp } from '@/formats/look-up';

/**
 * What is said of a use at the pour and once set, each a whole sentence. `{at}` is a temperature, `{places}` one or more moments; what is
 * wrong stands between asterisks.
 */
export interface UseVerdict {
  readonly pours: string;
  readonly tooThick: string;
  readonly tooThin: string;
  readonly sets: string;
  readonly tooStiff: string;
  readonly tooSoft: string;
}

const PLAIN: UseVerdict = {
  pours: 'Pours at {at}.',
  tooThick: 'At {at} it is *too thick to pour well.*',
  tooThin: 'At {at} it is *too thin to pour well.*',
  sets: '{places} it is set as wanted.',
  tooStiff: '{places} it will be *too stiff to be eaten as wanted.*',
  tooSoft: '{places} it will be *too soft to be eaten as wanted.*',
};

const VERDICTS: Readonly<Record<string, UseVerdict>> = {
  coat_eclair: {
    pours: 'Coats at {at}.',
    tooThick: 'At {at} it is *too thick to coat.*',
    tooThin: 'At {at} it is *too thin to coat.*',
    sets: '{places} it stays put and bites soft.',
    tooStiff: '{places} it will be *too stiff to bite cleanly.*',
    tooSoft: '{places} it will be *too soft to bite cleanly.*',
  },
  mirror_glaze: {
    pours: 'Glazes at {at}.',
    tooThick: 'At {at} it is *too thick to glaze.*',
    tooThin: 'At {at} it is *too thin to glaze.*',
    sets: '{places} it holds on the side.',
    tooStiff: '{places} it will be *too stiff to slice.*',
    tooSoft: '{places} it will be *too soft to slice.*',
  },
  nappe_sauce: {
    pours: 'Naps at {at}.',
    tooThick: 'At {at} it is *too thick to nap.*',
    tooThin: 'At {at} it is *too thin to nap.*',
    sets: '{places} it stays a sauce.',
    tooStiff: '{places} it will be *too stiff to spoon.*',
    tooSoft: '{places} it will be *too soft to spoon.*',
  },
  pour_icecream: {
    pours: 'Pours over ice cream at {at}.',
    tooThick: 'At {at} it is *too thick to pour over ice cream.*',
    tooThin: 'At {at} it is *too thin to pour over ice cream.*',
    sets: '{places} it keeps soft.',
    tooStiff: '{places} it will be *too stiff to spoon.*',
    tooSoft: '{places} it will be *too soft to spoon.*',
  },
  pool_plate: {
    pours: 'Pools at {at}.',
    tooThick: 'At {at} it is *too thick to pool.*',
    tooThin: 'At {at} it is *too thin to pool.*',
    sets: '{places} it stays a sauce.',
    tooStiff: '{places} it will be *too stiff to spoon.*',
    tooSoft: '{places} it will be *too soft to spoon.*',
  },
  dip_stick: {
    pours: 'Clings at {at}.',
    tooThick: 'At {at} it is *too thick to cling.*',
    tooThin: 'At {at} it is *too thin to cling.*',
    sets: '{places} it stays on.',
    tooStiff: '{places} it will be *too stiff to bite cleanly.*',
    tooSoft: '{places} it will be *too soft to bite cleanly.*',
  },
  spread_fill: {
    pours: 'Pours at {at}.',
    tooThick: 'At {at} it is *too thick to pour.*',
    tooThin: 'At {at} it is *too thin to pour.*',
    sets: '{places} it spreads.',
    tooStiff: '{places} it will be *too stiff to spread.*',
    tooSoft: '{places} it will be *too soft to spread.*',
  },
  pipe_rosette: {
    pours: 'Pours at {at}.',
    tooThick: 'At {at} it is *too thick to pour.*',
    tooThin: 'At {at} it is *too thin to pour.*',
    sets: '{places} it pipes and stands.',
    tooStiff: '{places} it will be *too stiff to pipe.*',
    tooSoft: '{places} it will be *too soft to pipe.*',
  },
  roll_truffle: {
    pours: 'Pours at {at}.',
    tooThick: 'At {at} it is *too thick to pour.*',
    tooThin: 'At {at} it is *too thin to pour.*',
    sets: '{places} it rolls.',
    tooStiff: '{places} it will be *too stiff to roll.*',
    tooSoft: '{places} it will be *too soft to roll.*',
  },
  cut_squares: {
    pours: 'Pours at {at}.',
    tooThick: 'At {at} it is *too thick to pour.*',
    tooThin: 'At {at} it is *too thin to pour.*',
    sets: '{places} it cuts cleanly.',
    tooStiff: '{places} it will be *too stiff to cut cleanly.*',
    tooSoft: '{places} it will be *too soft to cut cleanly.*',
  },
  drink: {
    pours: 'Pours thick at {at}.',
    tooThick: 'At {at} it is *too thick to drink.*',
    tooThin: 'At {at} it is *too thin to drink.*',
    sets: '{places} it stays a drink.',
    tooStiff: '{places} it will be *too stiff to drink.*',
    tooSoft: '{places} it will be *too soft to drink.*',
  },
  tart: {
    pours: 'Fills and levels at {at}.',
    tooThick: 'At {at} it is *too thick to level in a tart.*',
    tooThin: 'At {at} it is *too thin to level in a tart.*',
    sets: '{places} it slices cleanly.',
    tooStiff: '{places} it will be *too stiff to slice.*',
    tooSoft: '{places} it will be *too soft to slice.*',
  },
  shell: {
    pours: 'Fills shells at {at}.',
    tooThick: 'At {at} it is *too thick to fill shells.*',
    tooThin: 'At {at} it is *too thin to fill shells.*',
    sets: '{places} it holds and bites soft.',
    tooStiff: '{places} it will be *too stiff to bite softly.*',
    tooSoft: '{places} it will be *too soft to bite softly.*',
  },
  sandwich: {
    pours: 'Pours at {at}.',
    tooThick: 'At {at} it is *too thick to pour.*',
    tooThin: 'At {at} it is *too thin to pour.*',
    sets: '{places} it stays between the biscuits.',
    tooStiff: '{places} it will be *too stiff to sandwich.*',
    tooSoft: '{places} it will be *too soft to sandwich.*',
  },
  cover: {
    pours: 'Pours at {at}.',
    tooThick: 'At {at} it is *too thick to pour.*',
    tooThin: 'At {at} it is *too thin to pour.*',
    sets: '{places} it spreads and stays.',
    tooStiff: '{places} it will be *too stiff to spread.*',
    tooSoft: '{places} it will be *too soft to spread.*',
  },
  whip: {
    pours: 'Pours at {at}.',
    tooThick: 'At {at} it is *too thick to pour.*',
    tooThin: 'At {at} it is *too thin to pour.*',
    sets: '{places} it takes the whisk.',
    tooStiff: '{places} it will be *too stiff to whip.*',
    tooSoft: '{places} it will be *too soft to whip.*',
  },
  spoon_cold: {
    pours: 'Pours at {at}.',
    tooThick: 'At {at} it is *too thick to pour.*',
    tooThin: 'At {at} it is *too thin to pour.*',
    sets: '{places} it spoons.',
    tooStiff: '{places} it will be *too stiff to spoon.*',
    tooSoft: '{places} it will be *too soft to spoon.*',
  },
};

/** The sentences of a use; plain ones for a use of the cook's own. */
export function verdictOfUse(use: string | undefined): UseVerdict {
  return (use !== undefined && lookUp(VERDICTS, use)) || PLAIN;
}

/** What is wrong, out of its sentence: `too thick to coat`. */
export function fault(sentence: string): string {
  return (sentence.split('*')[1] ?? sentence).replace(/\.$/, '');
}
