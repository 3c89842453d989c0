import { CUTTER_SENTENCES } from '#core/cutter';
import { MIX_SENTENCES } from '#core/mix';
import { UNITS_SENTENCES, complaints } from '#core/units';

export const complaint = complaints({ ...UNITS_SENTENCES, ...MIX_SENTENCES, ...CUTTER_SENTENCES });
