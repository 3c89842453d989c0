import { complaints } from '#core/units';

/** What the drawer can find wrong, in sentences. */
export const complaint = complaints({
  'drawer/corners': () =>
    'Write the corners of the piece in mm, one after the other around it: 0 0, 24 0, 12 30. At least three.',
  'drawer/empty': () => 'There is no closed area in this drawing that could be cut.',
});
