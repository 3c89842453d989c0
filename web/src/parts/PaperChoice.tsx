import type { ReactElement } from 'react';
import { PAPERS, useView } from '../state/view.js';
import { Choice } from './Choice.js';

const OPTIONS = PAPERS.map((value) => ({ value, text: value }));

/** Which paper is in the printer. */
export function PaperChoice({ label }: { readonly label: string }): ReactElement {
  const { paper, choosePaper } = useView();
  return <Choice label={label} value={paper} options={OPTIONS} onChange={choosePaper} />;
}
