import type { Ask, Begun } from '#core/begin';

interface AskWords {
  /** what is asked for, with what there is already; `here`: at the station where it is done */
  readonly wants: (begun: Begun, here: boolean) => string;
  /** what that makes possible */
  readonly gives: string;
  /** the way to where it is done */
  readonly to: string;
  readonly way: string;
}

const clays = ({ colours }: Begun, here: boolean): string => {
  if (colours === 0) return 'Three colours of clay to begin with: white, a dark one and a bright one go furthest.';
  const more = colours === 1 ? 'Two colours more' : 'One colour more';
  return here ? `${more}: press A.` : `${more} on the shelf.`;
};

const machine = ({ machines, readings }: Begun): string => {
  if (machines === 0) return 'Your pasta machine: which numbers are on its dial, and two readings of it.';
  return readings === 0
    ? 'Two readings of your machine: roll a strip at its widest setting and one in the middle, and measure both.'
    : 'One reading more, at another setting.';
};

/** What each station asks of somebody who begins. */
export const ASK_WORDS: Readonly<Record<Ask, AskWords>> = {
  clays: {
    wants: clays,
    gives: 'With three, Sledge says what any parts of them come out as, and finds the parts for a colour you like.',
    to: '/shelf',
    way: 'Go to the shelf',
  },
  machine: {
    wants: machine,
    gives: 'Then every plan names your own settings, and grams are those of the sheet you really roll.',
    to: '/sheets',
    way: 'Go to the sheets',
  },
  chip: {
    wants: () => 'One chip: mix two colours, bake a small tile of it, and write down how it reads.',
    gives: 'Then Sledge knows how far your clay is off what it predicts, and predicts by that.',
    to: '/mixes',
    way: 'Go to the mixes',
  },
  batch: {
    wants: () => 'A small batch: one shape, six of it, from one clay.',
    gives: 'Sledge says how many grams that takes, whether they are there, and what to do in which order.',
    to: '/batches',
    way: 'Go to the batches',
  },
  card: {
    wants: () => 'Your batch is a card at the bench: one step at a time, Space goes on.',
    gives: 'At its end the clay is off the shelf, and the diary has what was made.',
    to: '/bench',
    way: 'Go to the bench',
  },
};
