import { Box } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { cavityOf, liningOf, type FilledWith } from '#core/pattern';
import { attempt, showLength, showMass, showSize } from '#core/units';
import { Choice } from '../../../parts/Choice.js';
import { LengthValue, MassValue } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { useUnits } from '../../../state/view.js';
import { Caption, Word } from '../../../theme/pieces.js';

const FILLED = [
  { value: 'clay', text: 'this clay, pressed out and weighed' },
  { value: 'water', text: 'water' },
] as const;

/** A mould as it is measured. */
interface Measured {
  readonly grams: number;
  readonly filled: FilledWith;
  readonly width: number;
  readonly length: number;
  readonly deep: number;
}
const BEGIN: Measured = { grams: 8, filled: 'clay', width: 24, length: 30, deep: 6 };

interface MouldProps {
  /** of the sheet, mm */
  readonly mm: number;
  /** g/cm³ */
  readonly density: number;
}

/** Sheet and clay for a mould, where that is asked for. */
export function MouldLine(props: MouldProps): ReactElement {
  const [shown, setShown] = useState(false);
  return (
    <Box marginTop={4} borderTop="rule" paddingTop={3}>
      <Word
        fontSize="small"
        aria-expanded={shown}
        onClick={() => {
          setShown(!shown);
        }}
      >
        {shown ? 'no mould' : 'into a mould instead'}
      </Word>
      {shown && <InMould {...props} />}
    </Box>
  );
}

function InMould({ mm, density }: MouldProps): ReactElement {
  const [said, setSaid] = useState(BEGIN);
  const put = (part: Partial<Measured>): void => {
    setSaid({ ...said, ...part });
  };
  const size = (label: string, field: 'width' | 'length' | 'deep'): ReactElement => (
    <LengthValue
      label={label}
      value={said[field]}
      onChange={(next) => {
        put({ [field]: next });
      }}
    />
  );
  return (
    <Box fontSize="body" lineHeight={1.8} role="group" aria-label="A mould">
      The mould is {size('Width of the mould', 'width')} by {size('Length of the mould', 'length')}, at its deepest{' '}
      {size('Depth of the mould', 'deep')}, and filled with{' '}
      <MassValue
        label="What fills the mould"
        value={said.grams}
        onChange={(grams) => {
          put({ grams });
        }}
      />{' '}
      of{' '}
      <Choice<FilledWith>
        label="What it was filled with"
        value={said.filled}
        options={FILLED}
        onChange={(filled) => {
          put({ filled });
        }}
      />
      .
      <Lining said={said} mm={mm} density={density} />
    </Box>
  );
}

/** What goes into it. */
function Lining({ said, mm, density }: MouldProps & { readonly said: Measured }): ReactElement {
  const units = useUnits();
  const { grams, filled, ...mould } = said;
  const cavity = cavityOf(grams, filled, density);
  const lining = attempt(
    () => liningOf({ ...mould, cavity }, mm, density),
    (wrong) => wrong.message,
  );
  if (typeof lining === 'string') return <Warning>{lining}</Warning>;
  return (
    <Box role="status">
      An oval of the sheet, <b>{showSize(lining.width, lining.length, units)}</b>, {showMass(lining.sheet, units)}, and
      behind it <b>{showMass(lining.behind, units)}</b>: a ball {showLength(lining.ball, units)} across.
      <Caption display="block">
        The mould is taken to be hollow like the inside of a bowl. Dust it, press the sheet in from its middle, then the
        ball, and level the back with the blade.
      </Caption>
    </Box>
  );
}
