import { Box, Flex } from '@chakra-ui/react';
import { useDeferredValue, useEffect, useId, useRef, useState, type KeyboardEvent, type ReactElement } from 'react';
import { TAKES, type Place, type TakenBy } from '#contract';
import { useTile } from '../state/tile.js';
import { Caption, Field } from '../theme/pieces.js';
import { useBlends, useCanes, useMixCards, usePatterns, useShelf, useStock } from '../wire/queries.js';
import { choicesFor, type MaterialChoice, type Picked } from './materialChoices.js';
import { swatch } from './swatch.js';

export type { Picked } from './materialChoices.js';

interface PickerProps<P extends Place> {
  /** what asks: it decides what can be picked */
  readonly place: P;
  readonly label: string;
  readonly onPick: (picked: Picked<TakenBy<P>>) => void;
  readonly onCancel: () => void;
  /** the id of a mix that cannot be picked: itself */
  readonly without?: string;
}

/** `settled`: they are those of the search, not still of the one before. */
function useChoices<P extends Place>(
  place: P,
  search: string,
  without?: string,
): { readonly choices: readonly MaterialChoice<TakenBy<P>>[]; readonly settled: boolean } {
  const [shelf, mixes, blends] = [useShelf(), useMixCards({ search, sort: 'name' }), useBlends()];
  const wanted: readonly string[] = TAKES[place].takes;
  const there = useStock(wanted.includes('made') || wanted.includes('scrap'));
  const patterns = usePatterns(wanted.includes('pattern'));
  const canes = useCanes(wanted.includes('cane') && place !== 'noted');
  const carried = useTile((s) => s.carried);
  const stock = {
    carried,
    shelf: shelf.data,
    mixes: (mixes.data?.pages ?? []).flatMap((page) => page.cards),
    blends: blends.data ?? [],
    there: there.data,
    patterns: patterns.data ?? [],
    canes: canes.data ?? [],
  };
  return {
    choices: choicesFor(place, search, stock, without),
    settled: !mixes.isPlaceholderData && mixes.data !== undefined,
  };
}

/** What was entered: it may come before the list has followed the typing, and before one has gone on. */
function useEntering<C>(
  current: C | undefined,
  ready: boolean,
  onPick: (picked: C) => void,
  onCancel: () => void,
): { readonly enter: () => void; readonly again: () => void; readonly leave: (gone: boolean) => void } {
  const [entered, setEntered] = useState(false);
  const left = useRef(false);
  useEffect(() => {
    if (!entered || !ready) return;
    setEntered(false);
    if (current) onPick(current);
    else if (left.current) onCancel();
  }, [entered, ready, current, onPick, onCancel]);
  return {
    enter: () => {
      setEntered(true);
    },
    again: () => {
      setEntered(false);
    },
    leave: (gone) => {
      left.current = gone;
      if (gone && !entered) onCancel();
    },
  };
}

/** The list that follows the typing, the place in it, and what the keys do. */
function usePicking<P extends Place>({ place, onPick, onCancel, without }: PickerProps<P>) {
  const [text, setText] = useState('');
  const [at, setAt] = useState(0);
  const searched = useDeferredValue(text);
  const { choices, settled } = useChoices(place, searched, without);
  const current = choices[Math.min(at, choices.length - 1)];
  const entering = useEntering(current, settled && searched === text, onPick, onCancel);
  const move = (by: number): void => {
    setAt(Math.max(0, Math.min(choices.length - 1, at + by)));
  };
  const keys: Readonly<Record<string, () => void>> = {
    ArrowDown: () => {
      move(1);
    },
    ArrowUp: () => {
      move(-1);
    },
    Enter: entering.enter,
    Escape: onCancel,
  };
  const press = (e: KeyboardEvent): void => {
    const does = keys[e.key];
    if (!does) return;
    e.preventDefault();
    e.stopPropagation();
    does();
  };
  const type = (next: string): void => {
    setText(next);
    setAt(0);
    entering.again();
  };
  return { text, type, choices, current, press, leave: entering.leave };
}

/** Picks what something is made of by typing a few letters, with arrows and Enter, or by click. */
export function MaterialPicker<P extends Place>(props: PickerProps<P>): ReactElement {
  const { place, label, onPick } = props;
  const { text, type, choices, current, press, leave } = usePicking(props);
  const list = useId();
  return (
    <Box
      background="tile"
      border="rule"
      padding={3}
      width="300px"
      maxWidth="100%"
      onFocus={() => {
        leave(false);
      }}
      onBlur={(e) => {
        leave(!e.currentTarget.contains(e.relatedTarget));
      }}
    >
      <Field
        autoFocus
        role="combobox"
        aria-label={label}
        aria-expanded
        aria-controls={list}
        aria-activedescendant={current && `${list}-${current.key}`}
        placeholder={placeholderFor(place)}
        value={text}
        onChange={(e) => {
          type(e.currentTarget.value);
        }}
        onKeyDown={press}
      />
      <Choices id={list} label={label} choices={choices} current={current} onPick={onPick} />
      <Box borderTop="hair" marginTop={2} paddingTop={2}>
        <Caption>{TAKES[place].because}</Caption>
      </Box>
    </Box>
  );
}

const CALLED = {
  clay: 'a clay',
  mix: 'a mix',
  blend: 'a blend',
  cane: 'a cane',
  pattern: 'a patterned sheet',
  made: 'a thing that lies there',
  scrap: 'scrap',
} as const;
const placeholderFor = (place: Place): string =>
  `name of ${TAKES[place].takes.map((kind) => CALLED[kind]).join(' or ')}`;

interface ChoicesProps<C extends MaterialChoice> {
  readonly id: string;
  readonly label: string;
  readonly choices: readonly C[];
  readonly current: C | undefined;
  readonly onPick: (choice: C) => void;
}

function Choices<C extends MaterialChoice>({ id, label, choices, current, onPick }: ChoicesProps<C>): ReactElement {
  return (
    <Box as="ul" role="listbox" id={id} aria-label={label} maxHeight="250px" overflowY="auto" marginTop={2}>
      {choices.map((choice) => (
        <Flex
          as="li"
          role="option"
          key={choice.key}
          id={`${id}-${choice.key}`}
          aria-selected={choice === current}
          gap={3}
          alignItems="center"
          paddingY="5px"
          paddingX={2}
          cursor="pointer"
          border="1px solid"
          borderColor={choice === current ? 'ink' : 'transparent'}
          tabIndex={-1}
          onMouseDown={(e) => {
            e.preventDefault();
            onPick(choice);
          }}
        >
          <Box width="26px" height="26px" flex="none" style={{ background: swatch(choice.hexes) }} />
          <Box minWidth={0}>
            <Box fontWeight={600} lineHeight={1.2}>
              {choice.name}
            </Box>
            <Caption>{choice.hint}</Caption>
          </Box>
        </Flex>
      ))}
      {choices.length === 0 && <Caption>Nothing that can be taken here is called so.</Caption>}
    </Box>
  );
}
