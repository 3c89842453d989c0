import { Box, Flex } from '@chakra-ui/react';
import { useDeferredValue, useEffect, useId, useRef, useState, type ReactElement } from 'react';
import { isMix, useTile } from '../state/tile.js';
import { Caption, Field } from '../theme/pieces.js';
import { useMixCards, useShelf } from '../wire/queries.js';

/** What can be picked: a clay of the shelf, or the newest revision of a mix. */
export interface Picked {
  readonly clayId: string | null;
  readonly revisionId: string | null;
  readonly name: string;
  readonly hex: string;
}
interface Choice extends Picked {
  readonly key: string;
  readonly hint: string;
}

interface PickerProps {
  readonly label: string;
  readonly onPick: (picked: Picked) => void;
  readonly onCancel: () => void;
  /** a mix that cannot be picked: itself */
  readonly without?: string;
}

/** `settled`: they are those of the search, not still of the one before. */
function useChoices(search: string, without?: string): { readonly choices: Choice[]; readonly settled: boolean } {
  const shelf = useShelf();
  const mixes = useMixCards({ search, sort: 'name' });
  const carried = useTile((s) => s.carried);
  const wanted = search.trim().toLowerCase();
  const fits = (name: string): boolean => name.toLowerCase().includes(wanted);
  const lineName = (id: string): string => shelf.data?.lines.find((l) => l.id === id)?.name ?? '';
  const cards = (mixes.data?.pages ?? []).flatMap((page) => page.cards).filter((card) => card.id !== without);
  const all: Choice[] = [
    ...carried
      .filter(isMix)
      .filter((c) => c.id !== without && fits(c.name))
      .map((c) => ({
        key: `tile${c.id}`,
        clayId: null,
        revisionId: c.revisionId,
        name: c.name,
        hex: c.hexes[0] ?? '999999',
        hint: 'on the tile',
      })),
    ...(shelf.data?.clays ?? [])
      .filter((c) => !c.retired && fits(c.name))
      .map((c) => ({
        key: c.id,
        clayId: c.id,
        revisionId: null,
        name: c.name,
        hex: c.bakedHex,
        hint: lineName(c.lineId),
      })),
    ...cards.map((c) => ({
      key: c.id,
      clayId: null,
      revisionId: c.revisionId,
      name: c.name,
      hex: c.hex,
      hint: c.notation,
    })),
  ];
  // those that are called so before those that only hold something called so
  const rank = ({ name }: Choice): number =>
    [name.toLowerCase() === wanted, name.toLowerCase().startsWith(wanted), fits(name), true].indexOf(true);
  all.sort((a, b) => rank(a) - rank(b));
  return { choices: all.slice(0, 40), settled: !mixes.isPlaceholderData && mixes.data !== undefined };
}

/** Picks a clay or a mix by typing a few letters, with arrows and Enter, or by click. */
export function MaterialPicker({ label, onPick, onCancel, without }: PickerProps): ReactElement {
  const [text, setText] = useState('');
  const [at, setAt] = useState(0);
  const searched = useDeferredValue(text);
  const { choices, settled } = useChoices(searched, without);
  // Enter may come before the list has followed the typing: then it waits for it
  const [entered, setEntered] = useState(false);
  // what was entered is still picked when one has gone on already
  const left = useRef(false);
  const list = useId();
  const current = choices[Math.min(at, choices.length - 1)];
  const ready = settled && searched === text;
  useEffect(() => {
    if (!entered || !ready) return;
    setEntered(false);
    if (current) onPick(current);
    else if (left.current) onCancel();
  }, [entered, ready, current, onPick, onCancel]);
  const move = (by: number): void => {
    setAt(Math.max(0, Math.min(choices.length - 1, at + by)));
  };
  return (
    <Box
      background="tile"
      border="rule"
      padding={3}
      width="300px"
      maxWidth="100%"
      onFocus={() => {
        left.current = false;
      }}
      onBlur={(e) => {
        left.current = !e.currentTarget.contains(e.relatedTarget);
        if (left.current && !entered) onCancel();
      }}
    >
      <Field
        autoFocus
        role="combobox"
        aria-label={label}
        aria-expanded
        aria-controls={list}
        aria-activedescendant={current && `${list}-${current.key}`}
        placeholder="name of a clay or a mix"
        value={text}
        onChange={(e) => {
          setText(e.currentTarget.value);
          setAt(0);
          setEntered(false);
        }}
        onKeyDown={(e) => {
          if (e.key === 'ArrowDown') {
            e.preventDefault();
            move(1);
          }
          if (e.key === 'ArrowUp') {
            e.preventDefault();
            move(-1);
          }
          if (e.key === 'Enter') {
            e.preventDefault();
            setEntered(true);
          }
          if (e.key === 'Escape') {
            e.stopPropagation();
            onCancel();
          }
        }}
      />
      <Box as="ul" role="listbox" id={list} aria-label={label} maxHeight="250px" overflowY="auto" marginTop={2}>
        {choices.map((choice) => (
          <Flex
            as="li"
            role="option"
            key={choice.key}
            id={`${list}-${choice.key}`}
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
            <Box width="26px" height="26px" flex="none" style={{ background: `#${choice.hex}` }} />
            <Box minWidth={0}>
              <Box fontWeight={600} lineHeight={1.2}>
                {choice.name}
              </Box>
              <Caption>{choice.hint}</Caption>
            </Box>
          </Flex>
        ))}
        {choices.length === 0 && <Caption>Nothing on the shelf or the board is called so.</Caption>}
      </Box>
    </Box>
  );
}
