import { Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import type { Step } from '#core/cane';
import { keyOf, ofBlend, ofMix } from '#core/material';
import { SHEET_FORMS, type BlendCard, type MadeAnswer } from '#contract';
import { isMix, useTile, type Carried } from '../../state/tile.js';
import { Action, Second } from '../../theme/pieces.js';
import { useSheets } from '../../wire/queries.js';

const id = (): string => crypto.randomUUID();
const [ROD, LONG] = [24, 60];
const BEGUN_AS: Readonly<Partial<Record<Step['do'], string>>> = { plug: 'its plug', roll: 'rolled up' };

/** The step that begins with what is carried; null where it cannot begin a cane. */
function beginWith(item: Carried, sheets: readonly MadeAnswer[], blends: readonly BlendCard[]): Step | null {
  if (isMix(item)) return { id: id(), do: 'log', of: keyOf(ofMix(item.revisionId)), diameter: ROD, length: LONG };
  const sheet = item.kind === 'sheet' ? sheets.find((s) => s.id === item.id) : undefined;
  if (sheet && !SHEET_FORMS.includes(sheet.form)) return null;
  const blend = blends.find((b) => b.id === (sheet ? sheet.blendId : item.id));
  const material = sheet?.of ?? (blend && ofBlend(blend.revisionId));
  if (!material) return null;
  const of = keyOf(material);
  if (!sheet) {
    const fan = blend?.plan.plug === 'fan';
    return {
      id: id(),
      do: 'plug',
      of,
      wound: fan ? 'fan' : 'rolled',
      inside: blend?.plan.inside ?? 'first',
      width: ROD,
      depth: fan ? blend.plan.fanDepth : ROD,
      length: LONG,
    };
  }
  if (sheet.form !== 'sheet')
    return {
      id: id(),
      do: 'plug',
      of,
      wound: sheet.form === 'fan' ? 'fan' : 'rolled',
      inside: sheet.inside ?? 'first',
      width: sheet.widthMm,
      depth: sheet.mm,
      length: sheet.lengthMm,
      made: sheet.id,
    };
  return {
    id: id(),
    do: 'roll',
    layers: [{ of, thickness: sheet.mm }],
    rolled: sheet.lengthMm,
    length: sheet.widthMm,
    made: sheet.id,
  };
}

/** What lies on the tile, to begin a cane with: a plug, a sheet, a mix. */
export function FromTile({
  blends,
  onBegin,
}: {
  readonly blends: readonly BlendCard[];
  readonly onBegin: (name: string, step: Step) => void;
}): ReactElement | null {
  const carried = useTile((s) => s.carried);
  const sheets = useSheets();
  const begins = carried.flatMap((item) => {
    const step = beginWith(item, sheets.data ?? [], blends);
    return step ? [{ item, step }] : [];
  });
  if (begins.length === 0) return null;
  return (
    <Flex gap={3} wrap="wrap" alignItems="center" marginTop={4}>
      <Second>with what lies on the tile:</Second>
      {begins.map(({ item, step }) => (
        <Action
          key={item.id}
          onClick={() => {
            onBegin(item.name, step);
          }}
        >
          {item.name}, {BEGUN_AS[step.do] ?? 'a log'}
        </Action>
      ))}
    </Flex>
  );
}
