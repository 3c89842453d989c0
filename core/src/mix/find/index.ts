export { find, type Candidate, type FindInput, type Found } from './find.js';
export { partsOf, ratios, unitsOf, type Ratio } from './ratios.js';
