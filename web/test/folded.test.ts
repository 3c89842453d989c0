import { ORNAMENTS, ornamentSteps } from '#core/pattern';
import { BEFORE_FOLDS, REST, foldSteps } from '../src/stations/patterns/folded/foldWords.js';

test.each(ORNAMENTS)('%s at the bench: cut, rest, dust, every fold, and how it bakes', (ornament) => {
  const words = foldSteps(ornament, { side: 60, mm: 1, thickest: 4 }, 'metric');
  const folds = ornamentSteps(ornament);
  expect(words).toHaveLength(BEFORE_FOLDS + folds.length + 1);
  expect(words[0]?.line).toContain('A square of 60 mm, 1.00 mm thick');
  expect(words[1]?.figure).toBe(String(REST));
  folds.forEach(({ crease, bent }, i) => {
    const { title = '', line = '' } = words[BEFORE_FOLDS + i] ?? {};
    if (!crease) expect(title).toBe('Turn it over');
    else expect(line).toContain(`${bent > 1 ? `${bent} layers at once` : 'one layer'} ${crease.way}`);
  });
  expect(words.at(-1)?.line).toContain('4.00 mm');
  expect(words.at(-1)?.line.includes('Pinch')).toBe(ornament === 'leaf fan');
});
