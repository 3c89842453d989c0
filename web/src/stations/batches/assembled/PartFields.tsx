import { Box, Flex, Grid } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { plainCutter, type Cutter } from '#core/cutter';
import { cutterOfPart, sizedParts, type PieceDocument, type ShapeIs, type Lies } from '#core/piece';
import { Choice } from '../../../parts/Choice.js';
import { FromDrawer } from '../../../parts/cutters/FromDrawer.js';
import { TextValue } from '../../../parts/Value.js';
import { Caption, Word } from '../../../theme/pieces.js';
import { moved, under, withPart, withoutPart } from './assemblyMoves.js';
import { NumberOf } from './NumberOf.js';
import {
  FIRST_PLACE,
  FIRST_SHAPE,
  PLACE_FIELDS,
  SHAPE_FIELDS,
  valueIn,
  withValue,
  type AnyPart,
} from './partFields.js';
import { LIES_WORDS, SHAPE_WORDS } from './partWords.js';
import type { FieldsProps, PartProps } from './partProps.js';
import { MadeOfWhat } from './MadeOfWhat.js';
import { ShapeKinds } from './ShapeKinds.js';

const options = <T extends string>(words: Readonly<Record<T, string>>): { value: T; text: string }[] =>
  (Object.keys(words) as T[]).map((value) => ({ value, text: words[value] }));
/** What a part lies on, or under. */
function OnWhat({ piece, part, set }: FieldsProps): ReactElement {
  return (
    <Choice
      label={`What ${part.name} lies on`}
      value={part.on ?? (part.under === true ? UNDER : WHOLE)}
      options={[
        { value: WHOLE, text: 'of the whole piece' },
        { value: UNDER, text: 'underneath it' },
        ...under(piece, part.id).map((p) => ({ value: p.id, text: `of each ${p.name}` })),
      ]}
      onChange={(on) => {
        set({ ...part, on: on === WHOLE || on === UNDER ? null : on, under: on === UNDER });
      }}
    />
  );
}
const [WHOLE, UNDER] = ['whole piece', 'underneath'];

/** Where it lies: how, on what, and the numbers of that. */
function Where(props: FieldsProps): ReactElement {
  const { piece, part, set } = props;
  const { place } = part;
  return (
    <Flex direction="column" gap={1}>
      <span>
        <Choice
          label={`How ${part.name} lies`}
          value={place.lies}
          options={options<Lies>(LIES_WORDS)}
          onChange={(lies) => {
            set({ ...part, place: FIRST_PLACE[lies] });
          }}
        />{' '}
        <OnWhat {...props} />{' '}
        {place.lies === 'ring' && (
          <Choice
            label={`Gaps of ${part.name}`}
            value={place.gaps ? 'gaps' : 'first'}
            options={[
              { value: 'first', text: 'beginning at the top' },
              { value: 'gaps', text: 'in the gaps of such a ring' },
            ]}
            onChange={(where) => {
              set({ ...part, place: { ...place, gaps: where === 'gaps' } });
            }}
          />
        )}
        {place.lies === 'scatter' && (
          <Word
            fontSize="small"
            onClick={() => {
              set({ ...part, place: { ...place, seed: (place.seed + 1) % 1_000_000 } });
            }}
          >
            scatter anew
          </Word>
        )}
      </span>
      {PLACE_FIELDS[place.lies].map((field) => (
        <NumberOf
          key={field.key}
          field={field}
          of={part.name}
          value={valueIn(place, field.key)}
          sizes={piece.sizes}
          onChange={(value) => {
            set({ ...part, place: withValue(place, field.key, value) });
          }}
        />
      ))}
    </Flex>
  );
}

/** What a flat part is cut with, from the drawer. */
function Cutters({ piece, part, set }: FieldsProps): ReactElement | null {
  const { shape } = part;
  const sized = sizedParts({ ...piece, parts: [part] })[0]?.shape;
  if (shape.is !== 'cut' || sized?.is !== 'cut') return null;
  const choose = (cutter: Cutter): void => {
    const plain = plainCutter(cutter);
    const { points, rimMm } = plain;
    const outline = { shape: plain.shape, width: plain.widthMm, height: plain.heightMm ?? plain.widthMm };
    const more = { ...(points ? { points } : {}), ...(typeof rimMm === 'number' ? { rim: rimMm } : {}) };
    set({ ...part, shape: { ...shape, outline: { ...outline, ...more } } });
  };
  return <FromDrawer cutter={cutterOfPart(sized.outline)} onChoose={choose} />;
}

/** What a part is: its shape, what it is made of, and its numbers. */
function What(props: FieldsProps): ReactElement {
  const { piece, part, materials, set } = props;
  const sized = sizedParts({ ...piece, parts: [part] })[0];
  return (
    <Flex direction="column" gap={1}>
      <b>
        <TextValue
          label="Name of the part"
          value={part.name}
          onChange={(name) => {
            if (name !== '') set({ ...part, name });
          }}
        />
      </b>
      <Choice
        label={`Shape of ${part.name}`}
        value={part.shape.is}
        options={options<ShapeIs>(SHAPE_WORDS)}
        onChange={(is) => {
          const wide = sized && 'width' in sized.shape ? sized.shape.width : USUAL_WIDTH;
          set({ ...part, shape: FIRST_SHAPE[is](wide) });
        }}
      />
      {part.shape.is !== 'finding' && (
        <span>
          of{' '}
          <MadeOfWhat
            label={`What ${part.name} is made of`}
            of={part.of}
            materials={materials}
            onPick={(of) => {
              set({ ...part, of });
            }}
          />
        </span>
      )}
      <ShapeKinds {...props} />
      <Cutters {...props} />
      {SHAPE_FIELDS[part.shape.is].map((field) => (
        <NumberOf
          key={field.key}
          field={field}
          of={part.name}
          value={valueIn(part.shape, field.key)}
          sizes={piece.sizes}
          onChange={(value) => {
            set({ ...part, shape: withValue(part.shape, field.key, value) });
          }}
        />
      ))}
    </Flex>
  );
}

/** mm of a part whose shape says none. */
const USUAL_WIDTH = 10;

/** Everything that is said of one part, and its place in the row. */
export function PartFields(props: PartProps): ReactElement {
  const { piece, part, onPiece } = props;
  const fields = {
    ...props,
    set: (next: AnyPart): void => {
      onPiece(withPart(piece, next));
    },
  };
  const words: readonly (readonly [string, () => PieceDocument])[] = [
    ['put on earlier', () => moved(piece, part.id, -1)],
    ['put on later', () => moved(piece, part.id, 1)],
    ['Leave this part out', () => withoutPart(piece, part.id)],
  ];
  return (
    <Box background="paper" border="hair" padding={3} role="group" aria-label={`Part ${part.name}`}>
      <Grid templateColumns="minmax(0, 1fr) minmax(0, 1fr)" gap={5}>
        <What {...fields} />
        <Where {...fields} />
      </Grid>
      <Flex gap={4} marginTop={2} wrap="wrap" alignItems="baseline">
        {words.map(([text, next]) => (
          <Word
            key={text}
            fontSize="small"
            onClick={() => {
              onPiece(next());
            }}
          >
            {text}
          </Word>
        ))}
        <Caption>parts are put on in the order of the rows</Caption>
      </Flex>
    </Box>
  );
}
