import { ofMix } from '#core/material';
import { Box, Flex, Grid } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import type { SettingThickness } from '#core/sheet';
import { readSize, showLength, showMass, showSize } from '#core/units';
import type { MachineDto, PieceDto, PlanAnswer } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { CutLayout } from '../../parts/CutLayout.js';
import { MaterialPicker } from '../../parts/MaterialPicker.js';
import { CountValue, LengthValue, TextValue, Value } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { useUnits } from '../../state/view.js';
import { Second, Word } from '../../theme/pieces.js';

/** A setting of any machine; `own`: of this maker's, which needs no name. */
export type SettingOf = SettingThickness & { readonly machine: MachineDto; readonly own: boolean };
type Layer = PieceDto['layers'][number];

interface PieceProps {
  readonly piece: PieceDto;
  readonly plan: PlanAnswer['pieces'][number] | undefined;
  readonly materials: PlanAnswer['materials'];
  readonly settings: readonly SettingOf[];
  readonly disabled: boolean;
  readonly refused: readonly { readonly field: string; readonly sentence: string }[];
  readonly onChange: (piece: PieceDto) => void;
  readonly onRemove: () => void;
}

/** One kind of piece: what it is cut from, with what, how many, and how the cuts lie on the sheet. */
export function Piece({
  piece,
  plan,
  materials,
  settings,
  disabled,
  refused,
  onChange,
  onRemove,
}: PieceProps): ReactElement {
  const units = useUnits();
  const set = (part: Partial<PieceDto>): void => {
    onChange({ ...piece, ...part });
  };
  const says = (field: string): string | undefined => refused.find((r) => r.field === field)?.sentence;
  const top = piece.layers.at(-1);
  const hex = materials[top?.of.id ?? '']?.hex ?? 'dddddd';
  const layout = plan && plan.wrong === null ? plan.layout : null;
  const size =
    piece.heightMm === null ? showLength(piece.widthMm, units) : showSize(piece.widthMm, piece.heightMm, units);
  const others = refused.filter(
    (r) =>
      !['name', 'widthMm', 'count', 'spare', 'bridgeMm', 'edgeMm', 'sheetWidthMm', 'sheetLengthMm'].includes(r.field),
  );
  return (
    <Grid
      as="section"
      aria-label={piece.name}
      templateColumns="minmax(0, 1fr) minmax(0, 1fr)"
      gap={5}
      borderTop="rule"
      paddingTop={4}
    >
      <Flex direction="column" gap={2} minWidth={0}>
        <h2>
          <TextValue
            label="Name of the piece"
            value={piece.name}
            disabled={disabled}
            refusal={says('name')}
            onChange={(name) => {
              set({ name });
            }}
          />
        </h2>
        <Box>
          <CountValue
            label="Number of pieces"
            value={piece.count}
            disabled={disabled}
            refusal={says('count')}
            onChange={(count) => {
              set({ count });
            }}
          />{' '}
          and{' '}
          <CountValue
            label="Number of spares"
            value={piece.spare}
            disabled={disabled}
            refusal={says('spare')}
            onChange={(spare) => {
              set({ spare });
            }}
          />{' '}
          spare, cut with{' '}
          <Value
            label="Size of the cutter"
            text={size}
            disabled={disabled}
            refusal={says('widthMm')}
            read={(text) => readSize(text.replace(/\s*round$/i, ''), units)}
            onChange={({ width, height }) => {
              set({ widthMm: width, heightMm: height, shape: height === null ? 'round' : 'rectangle' });
            }}
          />
          {piece.shape === 'round' ? ' round' : ''}
        </Box>
        <Layers
          piece={piece}
          materials={materials}
          settings={settings}
          disabled={disabled}
          onLayers={(layers) => {
            set({ layers });
          }}
        />
        {plan?.wrong !== null && plan !== undefined && <Warning>{plan.wrong}</Warning>}
        {others.map((r) => (
          <Warning key={r.field}>{r.sentence}</Warning>
        ))}
        <Second>
          bridge{' '}
          <LengthValue
            label="Bridge of clay between cuts"
            value={piece.bridgeMm}
            disabled={disabled}
            refusal={says('bridgeMm')}
            onChange={(bridgeMm) => {
              set({ bridgeMm });
            }}
          />
          , ragged edges{' '}
          <LengthValue
            label="Ragged edge of the sheets"
            value={piece.edgeMm ?? 0}
            disabled={disabled}
            refusal={says('edgeMm')}
            onChange={(edgeMm) => {
              set({ edgeMm });
            }}
          />
          , sheets at most{' '}
          <Value
            label="Largest sheet"
            text={showSize(piece.sheetWidthMm, piece.sheetLengthMm, units)}
            disabled={disabled}
            refusal={says('sheetWidthMm') ?? says('sheetLengthMm')}
            read={(text) => readSize(text, units)}
            onChange={({ width, height }) => {
              set({ sheetWidthMm: width, sheetLengthMm: height ?? width });
            }}
          />
        </Second>
        {!disabled && (
          <Word fontSize="small" alignSelf="flex-start" onClick={onRemove}>
            Leave this piece out
          </Word>
        )}
      </Flex>
      {layout && plan && plan.wrong === null && (
        <Box minWidth={0}>
          <CutLayout
            layout={layout}
            cutter={{ width: piece.widthMm, height: piece.heightMm }}
            hex={hex}
            room={{ width: 300, height: 250 }}
          />
          <Second>
            {layout.sheets > 1 ? `${layout.sheets} sheets, ` : ''}
            {layout.pattern === 'hexagonal' ? 'cut in the gaps of the row before' : 'cut in straight rows'},{' '}
            {layout.perSheet} on {layout.sheets > 1 ? 'each' : 'the sheet'} · {Math.round(layout.scrap * 100)} % between
            the cuts, {showMass(plan.scrapGrams, units)}
          </Second>
        </Box>
      )}
    </Grid>
  );
}

interface LayersProps {
  readonly piece: PieceDto;
  readonly materials: PlanAnswer['materials'];
  readonly settings: readonly SettingOf[];
  readonly disabled: boolean;
  readonly onLayers: (layers: Layer[]) => void;
}

/** The edge of the piece, the top layer above, and each layer in words beside it. */
function Layers({ piece, materials, settings, disabled, onLayers }: LayersProps): ReactElement {
  const units = useUnits();
  const [picking, setPicking] = useState<string | null>(null);
  const options = settings.map((s) => ({ value: s.id, text: s.own ? s.label : `${s.label} of ${s.machine.name}` }));
  const change = (id: string, part: Partial<Layer>): void => {
    onLayers(piece.layers.map((l) => (l.id === id ? { ...l, ...part } : l)));
  };
  const fallback = piece.layers.at(-1)?.settingId ?? settings[0]?.id;
  return (
    <Flex direction="column" aria-label="Layers, the top one first" as="ul" gap={0}>
      {[...piece.layers].reverse().map((layer) => {
        const look = materials[layer.of.id];
        const newer = look?.newer;
        const setting = settings.find((s) => s.id === layer.settingId);
        return (
          <Flex as="li" key={layer.id} gap={3} alignItems="stretch" minHeight="26px">
            <Box width="74px" flex="none" alignSelf="stretch" display="flex" alignItems="center">
              <Box
                width="100%"
                style={{ background: `#${look?.hex ?? 'dddddd'}`, height: Math.max(4, (setting?.mm ?? 1) * 9) }}
              />
            </Box>
            <Box flex={1} paddingY="2px">
              <Word
                disabled={disabled}
                onClick={() => {
                  setPicking(layer.id);
                }}
              >
                {look?.name ?? 'choose'}
              </Word>{' '}
              at{setting?.own ? ' your' : ''}{' '}
              <Choice
                label="Setting of the layer"
                value={layer.settingId}
                options={options}
                disabled={disabled}
                onChange={(settingId) => {
                  change(layer.id, { settingId });
                }}
              />
              {setting && (
                <Second>
                  {' '}
                  {setting.knowledge === 'assumed' ? '~' : ''}
                  {showLength(setting.mm, units, true)}
                </Second>
              )}
              {piece.layers.length > 1 && !disabled && (
                <>
                  {' '}
                  <Word
                    fontSize="small"
                    aria-label={`Take the layer ${look?.name ?? ''} out`}
                    onClick={() => {
                      onLayers(piece.layers.filter((l) => l.id !== layer.id));
                    }}
                  >
                    out
                  </Word>
                </>
              )}
              {newer !== undefined && newer !== null && !disabled && (
                <Warning>
                  {look?.name} has a newer recipe.{' '}
                  <Word
                    onClick={() => {
                      change(layer.id, { of: ofMix(newer) });
                    }}
                  >
                    Use it
                  </Word>
                </Warning>
              )}
              {picking === layer.id && (
                <MaterialPicker
                  place="layer"
                  label="What the layer is made of"
                  onCancel={() => {
                    setPicking(null);
                  }}
                  onPick={({ of }) => {
                    setPicking(null);
                    change(layer.id, { of });
                  }}
                />
              )}
            </Box>
          </Flex>
        );
      })}
      {!disabled &&
        fallback !== undefined &&
        (picking === 'new' ? (
          <MaterialPicker
            place="layer"
            label="What the layer underneath is made of"
            onCancel={() => {
              setPicking(null);
            }}
            onPick={({ of }) => {
              setPicking(null);
              onLayers([{ id: crypto.randomUUID(), of, settingId: fallback }, ...piece.layers]);
            }}
          />
        ) : (
          <Box as="li">
            <Word
              fontSize="small"
              onClick={() => {
                setPicking('new');
              }}
            >
              a layer underneath
            </Word>
          </Box>
        ))}
    </Flex>
  );
}
