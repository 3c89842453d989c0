import { Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { cutterOf, showCutter, type Cutter } from '#core/cutter';
import { asName } from '../names.js';
import { useUnits } from '../../state/view.js';
import { Second, Word } from '../../theme/pieces.js';
import { useDrawer } from '../../wire/queries.js';
import { change } from '../../wire/save.js';
import { CutterTile } from './CutterTile.js';
import { inDrawer, newCutter } from './ownCutters.js';

/** px for a mm of the cutters beside a piece. */
const SCALE = 1;

interface FromDrawerProps {
  readonly cutter: Cutter;
  readonly onChoose: (cutter: Cutter) => void;
}

/** The cutters of one's own, to be chosen from; one that is not among them can be put there. */
export function FromDrawer({ cutter, onChoose }: FromDrawerProps): ReactElement {
  const [open, setOpen] = useState(false);
  const units = useUnits();
  const navigate = useNavigate();
  const drawer = useDrawer().data ?? [];
  const own = inDrawer(drawer, cutter);
  const keep = (): void => {
    const dto = newCutter(cutter, asName(showCutter(cutter, units)));
    void change('PUT', `/api/cutters/${dto.id}`, dto);
  };
  return (
    <div>
      <Second>
        {own ? `${own.name} · ` : ''}
        <Word
          fontSize="small"
          aria-expanded={open}
          onClick={() => {
            setOpen(!open);
          }}
        >
          {open ? 'shut the drawer' : 'from the drawer'}
        </Word>
        {own === undefined && (
          <>
            {' · '}
            <Word fontSize="small" onClick={keep}>
              keep this cutter there
            </Word>
          </>
        )}
      </Second>
      {open && (
        <Flex wrap="wrap" gap={1} alignItems="flex-end" role="group" aria-label="Cutters of the drawer" marginY={2}>
          {drawer.map((one) => (
            <CutterTile
              key={one.id}
              own={one}
              scale={SCALE}
              small
              chosen={one === own}
              onChoose={() => {
                setOpen(false);
                onChoose(cutterOf(one));
              }}
            />
          ))}
          <Word
            fontSize="small"
            onClick={() => {
              void navigate('/batches/drawer');
            }}
          >
            {drawer.length === 0 ? 'It is empty: put your cutters in' : 'all of the drawer'}
          </Word>
        </Flex>
      )}
    </div>
  );
}
