import type { ReactElement } from 'react';
import type { ColourFile } from '#core/formats';
import { Word } from '../../../theme/pieces.js';
import { COLOUR_KINDS } from '../../../parts/colourFiles.js';
import { saveFile } from '../../../parts/saveFile.js';

/** Colours as a file, in any of the open formats. */
export function SaveColours({ file }: { readonly file: () => ColourFile }): ReactElement {
  return (
    <>
      {COLOUR_KINDS.map(({ ending, text, type, write }, i) => (
        <span key={ending}>
          {i > 0 && ', '}
          <Word
            onClick={() => {
              const colours = file();
              saveFile(colours.name, ending, type, write(colours));
            }}
            title={text}
          >
            .{ending}
          </Word>
        </span>
      ))}
    </>
  );
}
