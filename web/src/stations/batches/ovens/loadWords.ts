/** Why something bakes by itself. */
export const ALONE_WORDS = {
  light: 'light: by itself, or under paper, so that nothing browns it',
  translucent: 'translucent: by itself, it clears and takes colour',
  glitter: 'glitter: by itself, it sheds',
} as const;

/** By the maker's own figures. */
export const BELOW_PACKET = 'lower and longer than the packet says: bend a test piece before you sell one';
export const ON_FORMS = 'on forms: let them get hot through first, they take heat of their own';
