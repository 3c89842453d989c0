export { normalFrom, seedOf, seeded } from './chance.js';
export { Complaint, attempt, complaints, orSentence, sentenceOf } from './complaint.js';
export { Fault, faultOf } from './fault.js';
export { Fraction, sumOf } from './fraction.js';
export {
  GRAMS_PER_OUNCE,
  MM_PER_INCH,
  type Celsius,
  type Density,
  type Grams,
  type Minutes,
  type Mm,
  type Mm2,
  type Mm3,
  type UnitSystem,
} from './measures.js';
export { NUMBER_PATTERN, readNumber, showNumber } from './number.js';
export { readLength, readMass, readMinutes, readSize, readTemperature } from './read.js';
export { UNITS_SENTENCES, complaint } from './sentences.js';
export { inBoth, showArea, showLength, showLong, showMass, showMinutes, showSize, showTemperature } from './show.js';
export { ORDINALS, literally, namesOf, withDigits, withoutRoughly } from './words.js';
