export { find, type Candidate, type FindInput, type Found } from './find.js';
export { ratios, unitsOf, type Ratio } from './ratios.js';
