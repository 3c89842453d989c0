import { UNITS_SENTENCES, complaints } from '#core/units';
import { PATTERN_STEPS_SENTENCES } from '#core/pattern/steps';

export const complaint = complaints({ ...UNITS_SENTENCES, ...PATTERN_STEPS_SENTENCES });
