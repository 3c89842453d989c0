export { find } from './find.js';
export { partsOf, ratios, unitsOf, type Ratio } from './ratios.js';
export { type Candidate, type FindInput, type Found } from './search.js';
