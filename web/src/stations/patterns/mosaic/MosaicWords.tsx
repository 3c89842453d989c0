import type { ReactElement } from 'react';
import { MOST_COLOURS } from '#core/picture';
import { readLength, showLength, type UnitSystem } from '#core/units';
import { Choice } from '../../../parts/Choice.js';
import { CutterValue } from '../../../parts/cutters/CutterValue.js';
import { FileWord } from '../../../parts/FileWord.js';
import { CountValue, LengthValue, Value } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { useUnits } from '../../../state/view.js';
import { Caption } from '../../../theme/pieces.js';
import type { OnMosaic } from './useMosaic.js';

const RUNS = [
  { value: '1', text: 'one shade of each' },
  { value: '3', text: 'each with a lighter and a darker one' },
] as const;

/** `1.00, 0.65 mm` as it is typed: lengths one after the other. @throws Complaint */
export function readDiameters(text: string, units: UnitSystem): readonly number[] {
  const parts = text.split(/[,;]|\s+(?=\d)/).filter((part) => part.trim() !== '');
  return parts.map((part) => readLength(part, units)).sort((a, b) => b - a);
}

export const showDiameters = (diameters: readonly number[], units: UnitSystem): string =>
  diameters.map((mm) => showLength(mm, units, true)).join(', ');

/** What is planned, as sentences. */
export function MosaicWords({ on }: { readonly on: OnMosaic }): ReactElement {
  const { mosaic, change, withShades, openPicture, wrong, plan } = on;
  return (
    <>
      <div>
        In a bezel of{' '}
        <CutterValue
          label="The bezel"
          cutter={mosaic.bezel}
          onChange={({ rim: _, ...bezel }) => {
            change({ bezel });
          }}
        />
      </div>
      <div>
        <FileWord label="The picture of the mosaic" accept="image/*,.svg" onFile={(file) => void openPicture(file)}>
          {mosaic.pictureId === undefined ? 'a picture or a drawing' : 'another picture'}
        </FileWord>
        , taken apart in{' '}
        <CountValue
          label="Colours"
          value={mosaic.colours}
          onChange={(colours) => {
            void withShades({ colours: Math.min(MOST_COLOURS, Math.max(1, Math.round(colours))) });
          }}
        />{' '}
        colours,{' '}
        <Choice
          label="Shades of each colour"
          value={mosaic.run === 3 ? '3' : '1'}
          options={RUNS}
          onChange={(run) => {
            void withShades({ run: Number(run) });
          }}
        />
      </div>
      <Threads on={on} />
      <Bed on={on} />
      {wrong !== null && <Warning>{wrong}</Warning>}
      {plan.wrong && <Warning>{plan.wrong.message}</Warning>}
    </>
  );
}

function Threads({ on: { mosaic, change } }: { readonly on: OnMosaic }): ReactElement {
  const units = useUnits();
  return (
    <div>
      threads of{' '}
      <Value
        label="Thickness of the threads"
        text={showDiameters(mosaic.diameters, units)}
        read={(text) => readDiameters(text, units)}
        onChange={(diameters) => {
          change({ diameters });
        }}
      />
      , cut{' '}
      <LengthValue
        label="Shortest tessera"
        value={mosaic.shortest}
        fine
        onChange={(shortest) => {
          change({ shortest });
        }}
      />{' '}
      to{' '}
      <LengthValue
        label="Longest tessera"
        value={mosaic.longest}
        fine
        onChange={(longest) => {
          change({ longest });
        }}
      />{' '}
      long,{' '}
      <LengthValue
        label="Between tesserae"
        value={mosaic.gap}
        fine
        onChange={(gap) => {
          change({ gap });
        }}
      />{' '}
      apart <Caption>short where it turns or has detail, thin where it narrows</Caption>
    </div>
  );
}

function Bed({ on: { mosaic, change } }: { readonly on: OnMosaic }): ReactElement {
  return (
    <div>
      in a bed of clay{' '}
      <LengthValue
        label="Thickness of the bed"
        value={mosaic.bed}
        fine
        onChange={(bed) => {
          change({ bed });
        }}
      />{' '}
      thick; hands that lay{' '}
      <CountValue
        label="Tesserae in an hour"
        value={mosaic.pace}
        onChange={(pace) => {
          change({ pace: Math.max(1, pace) });
        }}
      />{' '}
      in an hour, and lose{' '}
      <CountValue
        label="Thread that is lost, %"
        value={Math.round(100 * mosaic.lost)}
        onChange={(percent) => {
          change({ lost: Math.min(3, Math.max(0, percent / 100)) });
        }}
      />{' '}
      % of the thread
    </div>
  );
}
