import { Box } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { TEXTURES, type Raised } from '#core/mica';
import { readSize, sentenceOf, showSize } from '#core/units';
import type { ClayDto } from '#contract';
import { Choice } from '../../../parts/Choice.js';
import { FileWord } from '../../../parts/FileWord.js';
import { ThicknessValue } from '../../../parts/Thickness.js';
import { Value } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { useUnits } from '../../../state/view.js';
import { Word } from '../../../theme/pieces.js';
import { Length } from './Length.js';
import { keepPicture } from '../keptPicture.js';
import type { ReliefPlan } from './reliefPlan.js';

export interface PressingProps {
  readonly plan: ReliefPlan;
  readonly clays: readonly ClayDto[];
  readonly translucents: readonly ClayDto[];
  readonly change: (part: Partial<ReliefPlan>) => void;
}
type WithProps = Pick<PressingProps, 'plan' | 'change'>;

/** The sheet that it begins with. */
export function SheetLine({ plan, clays, translucents, change }: PressingProps): ReactElement {
  const options = clays.map(({ id, name }) => ({ value: id, text: name }));
  const mixed = [
    { value: '', text: 'as it is' },
    ...translucents.map(({ id, name }) => ({ value: id, text: `with as much ${name}` })),
  ];
  return (
    <div>
      A sheet of{' '}
      <Choice
        label="The mica clay"
        value={plan.clayId}
        options={options}
        onChange={(clayId) => {
          change({ clayId });
        }}
      />{' '}
      {translucents.length > 0 && (
        <Choice
          label="Mixed with translucent"
          value={plan.translucentId ?? ''}
          options={mixed}
          onChange={(id) => {
            change({ translucentId: id === '' ? null : id });
          }}
        />
      )}
      , <Size plan={plan} change={change} />,{' '}
      <ThicknessValue
        label="Thickness of the sheet"
        value={plan.thick}
        onChange={(thick) => {
          change({ thick });
        }}
      />{' '}
      thick
    </div>
  );
}

/** How large it is: a picture keeps its own shape. */
function Size({ plan, change }: WithProps): ReactElement {
  const units = useUnits();
  if (plan.picture !== null)
    return (
      <>
        <Length
          label="Width of the picture"
          value={plan.width}
          onChange={(width) => {
            change({ width });
          }}
        />{' '}
        wide
      </>
    );
  return (
    <Value
      label="Size of the sheet"
      text={showSize(plan.width, plan.height, units)}
      read={(typed) => readSize(typed, units)}
      onChange={({ width, height }) => {
        change({ width, height: height ?? width });
      }}
    />
  );
}

/** What it is pressed with, and how deep. */
export function Pressing({ plan, change }: PressingProps): ReactElement {
  return (
    <div>
      pressed with{' '}
      {plan.picture === null ? (
        <WithTexture plan={plan} change={change} />
      ) : (
        <WithPicture plan={plan} change={change} />
      )}
      ,{' '}
      <Length
        label="Depth of the relief"
        value={plan.depth}
        onChange={(depth) => {
          change({ depth });
        }}
      />{' '}
      deep <OpenPicture change={change} />
    </div>
  );
}

function WithTexture({ plan, change }: WithProps): ReactElement {
  return (
    <>
      <Choice
        label="Texture"
        value={plan.texture}
        options={TEXTURES.map((value) => ({ value, text: value }))}
        onChange={(texture) => {
          change({ texture });
        }}
      />
      ,{' '}
      <Length
        label="From rise to rise"
        value={plan.pitch}
        onChange={(pitch) => {
          change({ pitch });
        }}
      />{' '}
      from rise to rise
    </>
  );
}

const LEFT_UP: readonly { readonly value: Raised; readonly text: string }[] = [
  { value: 'light', text: 'what is dark' },
  { value: 'dark', text: 'what is light' },
];

function WithPicture({ plan, change }: WithProps): ReactElement {
  return (
    <>
      a picture,{' '}
      <Choice
        label="What of the picture is pressed in"
        value={plan.raised}
        options={LEFT_UP}
        onChange={(raised) => {
          change({ raised });
        }}
      />{' '}
      pressed in (
      <Word
        fontSize="small"
        onClick={() => {
          change({ picture: null });
        }}
      >
        a texture instead
      </Word>
      )
    </>
  );
}

/** A photograph, a picture or a drawing to press with. */
function OpenPicture({ change }: Pick<PressingProps, 'change'>): ReactElement {
  const [wrong, setWrong] = useState<string | null>(null);
  const open = async (file: File): Promise<void> => {
    setWrong(null);
    try {
      change({ picture: await keepPicture(file) });
    } catch (error) {
      setWrong(sentenceOf(error));
    }
  };
  return (
    <Box as="span" fontSize="small">
      <FileWord label="A picture to press with" accept="image/*,.svg" onFile={(file) => void open(file)}>
        a picture or a drawing
      </FileWord>
      {wrong !== null && <Warning>{wrong}</Warning>}
    </Box>
  );
}
