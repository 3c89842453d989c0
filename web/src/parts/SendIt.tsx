import { useState, type MouseEvent, type ReactElement } from 'react';
import { sentenceOf } from '#core/units';
import type { CarriedKind } from '#contract/archive';
import { Word } from '../theme/pieces.js';
import { askFile } from '../wire/ask.js';
import type { PictureCard } from './card/pictureCard.js';
import { saveFile } from './saveFile.js';
import { Warning } from './Warning.js';

interface SendItProps {
  readonly kind: CarriedKind;
  readonly id: string;
  /** what its picture card shows; left out: it has none */
  readonly card?: () => Promise<PictureCard>;
}

const NOT_DRAWN = 'Its picture card could not be drawn here. It is sent without one.';

/** The card drawn: what draws it is loaded when the first one is. */
async function drawn(card: () => Promise<PictureCard>): Promise<{ readonly name: string; readonly png: Blob }> {
  const [{ drawCard }, shown] = await Promise.all([import('./card/drawCard.js'), card()]);
  return { name: shown.name, png: await drawCard(shown) };
}

/** Drawing a card, for a file of its own or for one that is sent. */
function useCard({ card, kind, id }: SendItProps) {
  const [drawing, setDrawing] = useState(false);
  const [wrong, setWrong] = useState<string | null>(null);
  const address = `/api/archive/thing/${kind}/${id}`;
  const busy = async (work: () => Promise<void>): Promise<void> => {
    setDrawing(true);
    setWrong(null);
    try {
      await work();
    } catch (error) {
      setWrong(sentenceOf(error));
    }
    setDrawing(false);
  };
  const send = async (shown: () => Promise<PictureCard>): Promise<void> => {
    const own = await drawn(shown).catch(() => null);
    if (!own) {
      setWrong(NOT_DRAWN);
      window.location.assign(address);
      return;
    }
    saveFile(own.name, 'sledge.zip', 'application/zip', await askFile('POST', address, own.png));
  };
  return {
    ...{ drawing, wrong, address },
    send: (event: MouseEvent): void => {
      if (!card) return;
      event.preventDefault();
      if (!drawing) void busy(() => send(card));
    },
    save: (): void => {
      if (!card) return;
      void busy(async () => {
        const { name, png } = await drawn(card);
        saveFile(name, 'card.png', 'image/png', new Uint8Array(await png.arrayBuffer()));
      });
    },
  };
}

/** One thing as a small file, with all that it needs and a picture card, for another maker; and the card by itself. */
export function SendIt(props: SendItProps): ReactElement {
  const { drawing, wrong, address, send, save } = useCard(props);
  return (
    <>
      <a href={address} download aria-label="Send it as a file, with all that it needs" onClick={send}>
        send it
      </a>
      {props.card && (
        <>
          {' '}
          <Word fontSize="inherit" disabled={drawing} aria-label="Its picture card, to show" onClick={save}>
            {drawing ? 'drawing its card …' : 'its card'}
          </Word>
        </>
      )}
      {wrong !== null && <Warning>{wrong}</Warning>}
    </>
  );
}
