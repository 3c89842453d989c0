import { type Mixable } from '#core/material';
import { Box, Flex, Grid } from '@chakra-ui/react';
import { useCallback, useDeferredValue, useMemo, useRef, useState, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { layoutOf, layoutsFor, pureStretches, unevenness, type LayoutKind } from '#core/blend';
import { attempt, showLength } from '#core/units';
import type { BlendAnswer, BlendCut, BlendDto, BlendPlanDto, MachinesAnswer, ShelfAnswer } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { MaterialPicker, type Picked } from '../../parts/MaterialPicker.js';
import { PaperChoice } from '../../parts/PaperChoice.js';
import { CountValue, LengthValue, TextValue } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { useKeys } from '../../state/keys.js';
import { useTile } from '../../state/tile.js';
import { useUnits, useView } from '../../state/view.js';
import { Caption, Key, Second, Word } from '../../theme/pieces.js';
import { change, put, useRefusal } from '../../wire/save.js';
import { BlendStrip } from './BlendStrip.js';
import { CutSheet, LEFT, scaleIn, useRoom } from './CutSheet.js';
import { Evenness } from './Evenness.js';
import { FadeStrip } from './FadeStrip.js';
import { MakeBlend } from './MakeBlend.js';
import { Marry } from './Marry.js';
import { PassBars } from './PassBars.js';
import { PlacedOn } from './PlacedOn.js';
import { Strips } from './Strips.js';
import { TapePlug } from './TapePlug.js';
import { Template, savePdf, saveTemplate } from './Template.js';
import { useBlend } from './useBlend.js';
import { layoutIn } from './workedBlend.js';

const CUT_WORDS: Readonly<Record<BlendCut, string>> = {
  corner: 'corner to corner',
  'pure ends': 'with pure ends',
  diamond: 'as a diamond',
  V: 'as a V',
  teardrop: 'as teardrops',
  compensated: 'compensated',
  free: 'freely',
};

interface BlendViewProps {
  readonly blend: BlendAnswer;
  /** at the bench */ readonly making: boolean;
  readonly machines: MachinesAnswer;
  readonly shelf: ShelfAnswer;
}

/** One blend: its cuts, the fade they give, and what becomes of it. */
export function BlendView({ blend, making, machines, shelf }: BlendViewProps): ReactElement {
  const units = useUnits();
  const paper = useView((s) => s.paper);
  const navigate = useNavigate();
  const { plan } = blend;
  const own = machines.machines.find((m) => m.id === machines.setup.machineId);
  const [dragged, setDragged] = useState<BlendPlanDto['cuts'] | null>(null);
  const [picking, setPicking] = useState<number | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const path = `/api/blends/${blend.id}`;
  const refusal = useRefusal(path);
  const worked = useBlend(blend, shelf, own, dragged);
  // sheet and fade follow the hand at once, what is worked out of them a little later
  const later = useDeferredValue(worked);
  const room = useRoom();
  const save = (part: Partial<BlendDto>): void => {
    const { id, version, name, note, retired } = blend;
    const dto: BlendDto = { id, version, name, note, retired, plan, ...part };
    void put<BlendDto>(path, dto, { ...blend, ...part });
  };
  const latest = useRef(save);
  latest.current = save;
  const replan = useCallback(
    (part: Partial<BlendPlanDto>): void => {
      latest.current({ plan: { ...plan, ...part } });
    },
    [plan],
  );
  /** Lays the cuts anew for another size, number of colours or way of cutting. */
  const relay = (part: Partial<BlendPlanDto>): void => {
    const next = { ...plan, ...part };
    const kinds = layoutsFor(next.colours.length);
    const kind: LayoutKind = kinds.find((k) => k === next.kind) ?? 'pure ends';
    attempt(
      () => {
        const { cuts } = layoutOf(kind, next.colours.length, next.width, next.height, next.pure);
        setWrong(null);
        save({ plan: { ...next, kind, cuts: cuts.map((points) => ({ points: [...points] })) } });
      },
      (wrong) => {
        setWrong(wrong.message);
      },
    );
  };
  /** Freely drawn cuts are stretched with the sheet instead. */
  const resize = (width: number, height: number): void => {
    if (plan.kind !== 'free' && plan.kind !== 'compensated') {
      relay({ width, height });
      return;
    }
    replan({
      width,
      height,
      cuts: plan.cuts.map((c) => ({
        points: c.points.map((p) => ({ x: (p.x * width) / plan.width, y: (p.y * height) / plan.height })),
      })),
    });
  };
  const pick = ({ of }: Picked<Mixable>): void => {
    const colours = [...plan.colours];
    const at = picking ?? colours.length;
    colours[at] = of;
    setPicking(null);
    if (colours.length === plan.colours.length) replan({ colours });
    else relay({ colours });
  };
  const drop = (cuts: BlendPlanDto['cuts']): void => {
    setDragged(null);
    replan({ cuts, kind: 'free' });
  };
  const compensate = (): void => {
    if (typeof worked !== 'string')
      replan({ kind: 'compensated', cuts: worked.compensated.layout.cuts.map((points) => ({ points: [...points] })) });
  };
  const carry = useTile((s) => s.put);
  const carryIt = (): void => {
    if (typeof worked !== 'string')
      carry({
        kind: 'blend',
        id: blend.id,
        name: blend.name,
        hexes: worked.colours.map((c) => c.hex),
        revisionId: null,
      });
  };
  useKeys('This blend', [
    { key: 'c', does: 'Carry it on the tile', run: carryIt },
    { key: 'e', does: 'Take the compensated cut', run: compensate },
    {
      key: 'b',
      does: 'To the bench: make it',
      run: () => {
        void navigate(`/blends/${blend.id}/make`);
      },
    },
    {
      key: 'p',
      does: 'Print the paper template',
      run: () => {
        window.print();
      },
    },
  ]);
  const pure = useMemo(() => pureStretches(layoutIn({ ...plan, cuts: dragged ?? plan.cuts })), [plan, dragged]);
  const options = [
    ...layoutsFor(plan.colours.length),
    ...(plan.kind === 'compensated' || plan.kind === 'free' ? [plan.kind] : []),
  ].map((value) => ({ value, text: CUT_WORDS[value] }));
  const head = (
    <Flex alignItems="baseline" gap={4} wrap="wrap">
      <h1>
        <TextValue
          label="Name of the blend"
          value={blend.name}
          refusal={refusal?.sentenceFor('name')}
          onChange={(name) => {
            save({ name });
          }}
        />
      </h1>
      <Box fontSize="h2" fontFamily="heading">
        {plan.colours.map((_, i) => (
          <span key={i}>
            {i > 0 && ', '}
            <Word
              onClick={() => {
                setPicking(i);
              }}
            >
              {typeof worked === 'string' ? '…' : (worked.colours[i]?.name ?? '…')}
            </Word>
            {plan.colours.length > 2 && (
              <Word
                aria-label={`Take colour ${i + 1} out`}
                fontSize="caption"
                marginLeft={1}
                onClick={() => {
                  relay({ colours: plan.colours.filter((__, k) => k !== i) });
                }}
              >
                out
              </Word>
            )}
          </span>
        ))}
        {plan.colours.length < 6 && (
          <Word
            fontSize="small"
            marginLeft={3}
            onClick={() => {
              setPicking(plan.colours.length);
            }}
          >
            another colour
          </Word>
        )}
      </Box>
      <Box marginLeft="auto" fontSize="small">
        {(blend.revision > 1 || blend.made) && (
          <Second>
            revision {blend.revision}
            {blend.made ? ', made: a change begins a new one' : ''} ·{' '}
          </Second>
        )}
        <Word onClick={carryIt}>carry</Word> <Key>C</Key> ·{' '}
        <Word
          onClick={() => {
            save({ retired: !blend.retired });
          }}
        >
          {blend.retired ? 'Bring it back' : 'Retire'}
        </Word>{' '}
        ·{' '}
        <Word
          onClick={() => {
            void change('DELETE', `${path}?version=${blend.version}`).then((gone) => {
              if (gone !== null) void navigate('/blends');
            });
          }}
        >
          Take away
        </Word>
      </Box>
    </Flex>
  );
  const picker = picking !== null && (
    <MaterialPicker
      place="colour"
      label="Colour of the blend"
      onPick={pick}
      onCancel={() => {
        setPicking(null);
      }}
    />
  );
  if (making && typeof worked !== 'string') return <MakeBlend blend={blend} worked={worked} shelf={shelf} own={own} />;
  if (typeof worked === 'string')
    return (
      <Flex direction="column" gap={4} padding={5}>
        {head}
        {picker}
        {worked !== '' && <Warning>{worked}</Warning>}
      </Flex>
    );
  const { layout, colours, setting, settings, fade, compensated, compensatedFade } = worked;
  const rest = typeof later === 'string' ? worked : later;
  const sheet = setting
    ? `your ${setting.label} (${setting.knowledge === 'assumed' ? '~' : ''}${showLength(setting.mm, units, true)} each)`
    : '~2 mm';
  const scale = scaleIn(layout, room);
  const better = Math.round(compensated.gain * 100);
  return (
    <>
      <Grid templateColumns="minmax(0, 1fr) 286px" minHeight={0} css={{ '@media print': { display: 'none' } }}>
        <Flex direction="column" gap={3} padding={5} overflowY="auto" overflowX="auto" minWidth={0}>
          {head}
          {picker}
          {refusal && !refusal.sentenceFor('name') ? <Warning>{refusal.message}</Warning> : null}
          {wrong !== null && <Warning>{wrong}</Warning>}
          <Box fontSize="small">
            Cut{' '}
            <Choice
              label="How it is cut"
              value={plan.kind}
              options={options}
              onChange={(kind) => {
                relay({ kind });
              }}
            />
            ,{' '}
            <LengthValue
              label="Width of the sheet"
              value={plan.width}
              onChange={(width) => {
                resize(width, plan.height);
              }}
            />{' '}
            by{' '}
            <LengthValue
              label="Height of the sheet"
              value={plan.height}
              onChange={(height) => {
                resize(plan.width, height);
              }}
            />
            , ends pure for{' '}
            <LengthValue
              label="Pure ends"
              value={plan.pure}
              onChange={(p) => {
                relay({ pure: p });
              }}
            />
            ,{' '}
            <CountValue
              label="Layers of the blend"
              value={plan.layers}
              onChange={(layers) => {
                replan({ layers });
              }}
            />{' '}
            layers
            {settings.length > 0 && (
              <>
                {' '}
                of your{' '}
                <Choice
                  label="Setting of the sheets"
                  value={plan.settingId ?? ''}
                  options={[
                    ...(plan.settingId === null ? [{ value: '', text: 'setting' }] : []),
                    ...settings.map((s) => ({ value: s.id, text: s.label })),
                  ]}
                  onChange={(settingId) => {
                    replan({ settingId: settingId === '' ? null : settingId });
                  }}
                />
              </>
            )}
          </Box>
          <CutSheet
            layout={layout}
            colours={colours}
            layers={plan.layers}
            sheet={sheet}
            scale={scale}
            onDrag={setDragged}
            onDrop={drop}
          />
          <Box paddingLeft={`${LEFT}px`} flex="none" width={`${LEFT + layout.width * scale}px`}>
            <Box position="relative">
              <FadeStrip labs={fade.labs} width={layout.width * scale} height={56} label="The fade that results" />
              {plan.placed && (
                <PlacedOn
                  placed={plan.placed}
                  width={plan.width}
                  scale={scale}
                  height={56}
                  onMove={(placed) => {
                    replan({ placed });
                  }}
                />
              )}
            </Box>
            <Flex justifyContent="space-between" fontSize="small" marginTop={1} gap={3}>
              <span>{pureWords(pure, 0, units)}</span>
              <span data-testid="evenness">
                change of colour, ΔE a mm, as cut
                {plan.kind === 'compensated' && ': compensated'}
                {plan.kind !== 'compensated' && better > 0 && (
                  <>
                    {' '}
                    · <Word onClick={compensate}>compensated: {better} % more even</Word> <Key>E</Key>
                  </>
                )}
                {plan.kind !== 'compensated' && better <= 0 && ': as even as straight cuts make it'}
              </span>
              <span>{pureWords(pure, colours.length - 1, units)}</span>
            </Flex>
            <Evenness fade={rest.fade} other={plan.kind === 'compensated' ? null : compensatedFade} />
            <Caption>
              unevenness {unevenness(fade).toFixed(2)} ΔE a mm · double click adds a point to a cut, Delete takes it
              away
            </Caption>
          </Box>
          <Grid flex="none" borderTop="rule" paddingTop={4} templateColumns="168px 224px minmax(0, 1fr)" gap={4}>
            <PassBars contrast={rest.contrast} counted={blend.counted.length} passes={rest.passes} />
            <TapePlug plan={plan} worked={rest} own={own} onChange={replan} />
          </Grid>
          <Second>
            <Word
              onClick={() => {
                window.print();
              }}
            >
              Print the paper template
            </Word>{' '}
            <Key>P</Key> · template as{' '}
            <Word
              aria-label="Template as SVG"
              onClick={() => {
                saveTemplate(blend.name, layout, colours);
              }}
            >
              SVG
            </Word>{' '}
            ·{' '}
            <Word
              aria-label="Template as PDF"
              onClick={() => {
                void savePdf(blend.name, layout, colours, `${plan.layers} layers of ${sheet}`, units, paper);
              }}
            >
              PDF
            </Word>{' '}
            · on <PaperChoice label="Paper of the template" />
          </Second>
          <Grid flex="none" borderTop="rule" paddingTop={4} templateColumns="minmax(0, 1.2fr) minmax(0, 1fr)" gap={5}>
            <Strips worked={rest} />
            <Marry blend={blend} shelf={shelf} own={own} />
          </Grid>
        </Flex>
        <BlendStrip
          plan={plan}
          worked={rest}
          own={own}
          shelf={shelf}
          setup={machines.setup}
          blendId={blend.id}
          onChange={replan}
        />
      </Grid>
      <Template name={blend.name} layout={layout} colours={colours} layers={plan.layers} sheet={sheet} />
    </>
  );
}

function pureWords(pure: ReturnType<typeof pureStretches>, colour: number, units: ReturnType<typeof useUnits>): string {
  const own = pure.find((p) => p.colour === colour);
  return own ? `pure, ${showLength(own.to - own.from, units)}` : 'no pure end';
}
