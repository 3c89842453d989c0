import { ofMix } from '#core/material';
import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import { showLength } from '#core/units';
import type { PieceDto, PlanAnswer } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { MaterialPicker } from '../../parts/MaterialPicker.js';
import { Warning } from '../../parts/Warning.js';
import { useUnits } from '../../state/view.js';
import { Second, Word } from '../../theme/pieces.js';
import type { OwnSetting } from './batchMoves.js';
import { hexIn, settingWords } from './pieceWords.js';

type Layer = PieceDto['layers'][number];

interface LayersProps {
  readonly piece: PieceDto;
  readonly materials: PlanAnswer['materials'];
  readonly settings: readonly OwnSetting[];
  readonly disabled: boolean;
  readonly onLayers: (layers: Layer[]) => void;
}

/** What one layer is given beside those. */
interface OneProps extends Omit<LayersProps, 'onLayers'> {
  readonly layer: Layer;
  readonly onChange: (part: Partial<Layer>) => void;
  readonly onOut: () => void;
}

/** Pixels for each millimetre of a layer's edge, and the least that is seen. */
const [SCALE, LEAST] = [9, 4];

/** At which setting a layer is rolled, and how thick that is. */
function AtSetting({ piece, layer, settings, disabled, onChange }: OneProps): ReactElement {
  const units = useUnits();
  if (piece.placed && layer === piece.layers.at(-1))
    return <Second>as it lies, {showLength(piece.placed.mm, units, true)}</Second>;
  const setting = settings.find((s) => s.id === layer.settingId);
  const options = settings.map((s) => ({ value: s.id, text: settingWords(s) }));
  return (
    <>
      at{setting?.own ? ' your' : ''}{' '}
      <Choice
        label="Setting of the layer"
        value={layer.settingId}
        options={options}
        disabled={disabled}
        onChange={(settingId) => {
          onChange({ settingId });
        }}
      />
      {setting && (
        <Second>
          {' '}
          {setting.knowledge === 'assumed' ? '~' : ''}
          {showLength(setting.mm, units, true)}
        </Second>
      )}
    </>
  );
}

/** That the mix of a layer was changed since, and the way to the newer recipe. */
function Newer({ layer, materials, disabled, onChange }: OneProps): ReactElement | null {
  const look = materials[layer.of.id];
  const newer = look?.newer ?? null;
  if (newer === null || disabled) return null;
  return (
    <Warning>
      {look?.name} has a newer recipe.{' '}
      <Word
        onClick={() => {
          onChange({ of: ofMix(newer) });
        }}
      >
        Use it
      </Word>
    </Warning>
  );
}

/** A sheet of the patterned sheet that lies there by now, and what it is of. */
function LiesByNow({ layer, materials, disabled, onChange }: OneProps): ReactElement | null {
  const look = materials[layer.of.id];
  if (layer.of.kind !== 'pattern' || disabled || !look) return null;
  const { lies, pattern } = look;
  return (
    <Box fontSize="small">
      {lies ? (
        <>
          {lies.name} lies there by now.{' '}
          <Word
            fontSize="small"
            onClick={() => {
              onChange({ of: { kind: 'made', id: lies.id } });
            }}
          >
            Take it
          </Word>
        </>
      ) : (
        <>
          to be made: <Link to={`/patterns/${pattern?.id ?? ''}`}>its steps</Link>
        </>
      )}
    </Box>
  );
}

/** One layer: its edge, and what it is in words. */
function OneLayer(props: OneProps): ReactElement {
  const { piece, layer, materials, settings, disabled, onChange, onOut } = props;
  const [picking, setPicking] = useState(false);
  const name = materials[layer.of.id]?.name;
  const rolled = settings.find((s) => s.id === layer.settingId)?.mm ?? 1;
  const mm = piece.placed && layer === piece.layers.at(-1) ? piece.placed.mm : rolled;
  return (
    <Flex as="li" gap={3} alignItems="stretch" minHeight="26px">
      <Box width="74px" flex="none" alignSelf="stretch" display="flex" alignItems="center">
        <Box width="100%" style={{ background: hexIn(materials, layer), height: Math.max(LEAST, mm * SCALE) }} />
      </Box>
      <Box flex={1} minWidth={0} paddingY="2px">
        <Word
          disabled={disabled}
          onClick={() => {
            setPicking(true);
          }}
        >
          {name ?? 'choose'}
        </Word>{' '}
        <AtSetting {...props} />
        {piece.layers.length > 1 && !disabled && (
          <>
            {' '}
            <Word fontSize="small" aria-label={`Take the layer ${name ?? ''} out`} onClick={onOut}>
              out
            </Word>
          </>
        )}
        <Newer {...props} />
        <LiesByNow {...props} />
        {picking && (
          <MaterialPicker
            place="layer"
            label="What the layer is made of"
            onCancel={() => {
              setPicking(false);
            }}
            onPick={({ of }) => {
              setPicking(false);
              onChange({ of });
            }}
          />
        )}
      </Box>
    </Flex>
  );
}

/** A layer more, under the others. */
function Underneath({ onAdd }: { readonly onAdd: (of: Layer['of']) => void }): ReactElement {
  const [picking, setPicking] = useState(false);
  if (picking)
    return (
      <MaterialPicker
        place="layer"
        label="What the layer underneath is made of"
        onCancel={() => {
          setPicking(false);
        }}
        onPick={({ of }) => {
          setPicking(false);
          onAdd(of);
        }}
      />
    );
  return (
    <Box as="li">
      <Word
        fontSize="small"
        onClick={() => {
          setPicking(true);
        }}
      >
        a layer underneath
      </Word>
    </Box>
  );
}

/** The edge of the piece, the top layer above, and each layer in words beside it. */
export function Layers({ onLayers, ...own }: LayersProps): ReactElement {
  const { piece, settings, disabled } = own;
  const settingId = piece.layers.at(-1)?.settingId ?? settings[0]?.id;
  return (
    <Flex direction="column" aria-label="Layers, the top one first" as="ul" gap={0}>
      {[...piece.layers].reverse().map((layer) => (
        <OneLayer
          key={layer.id}
          {...own}
          layer={layer}
          onChange={(part) => {
            onLayers(piece.layers.map((l) => (l.id === layer.id ? { ...l, ...part } : l)));
          }}
          onOut={() => {
            onLayers(piece.layers.filter((l) => l.id !== layer.id));
          }}
        />
      ))}
      {!disabled && settingId !== undefined && (
        <Underneath
          onAdd={(of) => {
            onLayers([{ id: crypto.randomUUID(), of, settingId }, ...piece.layers]);
          }}
        />
      )}
    </Flex>
  );
}
