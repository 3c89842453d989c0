/** A line of clay to put on a shelf. @param name of the line */
export const line = (name) => ({
  id: crypto.randomUUID(),
  version: 0,
  name,
  firmness: 'medium',
  density: 1.9,
  densityMeasured: false,
  bakeC: 130,
  bakeMinutes: 30,
  bakePerMm: 6,
  maxC: 150,
});
