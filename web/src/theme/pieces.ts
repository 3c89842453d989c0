import { chakra } from '@chakra-ui/react';
import { Link } from 'react-router';
import { grey } from './grey.js';
import { TOUCHED } from './narrow.js';

/** The few pieces of furniture that every station is made of. */

export const Action = chakra('button', {
  base: {
    border: 'rule',
    paddingX: 4,
    minHeight: '38px',
    fontWeight: 600,
    fontSize: 'small',
    background: 'transparent',
    whiteSpace: 'nowrap',
    flex: 'none',
    display: 'inline-flex',
    alignItems: 'center',
    justifyContent: 'center',
    gap: 2,
    _hover: { background: 'tile' },
    _disabled: { color: 'hairline', borderColor: 'hairline', background: 'transparent' },
    [TOUCHED]: { minHeight: '52px', fontSize: 'text' },
  },
  variants: {
    main: {
      true: {
        background: 'ink',
        color: 'tile',
        _hover: { background: 'ink2' },
        _disabled: { background: 'transparent' },
      },
    },
    large: { true: { minHeight: '60px', fontSize: 'h2' } },
  },
});

/** A word that does something: underlined, in the run of a sentence. */
export const Word = chakra('button', {
  base: {
    textDecoration: 'underline',
    textUnderlineOffset: '3px',
    // a finger is wider than a word is high
    [TOUCHED]: { position: 'relative', _after: { content: '""', position: 'absolute', inset: '-10px -6px' } },
    _hover: { background: 'tile' },
    _disabled: { color: 'hairline', textDecoration: 'none' },
  },
});

/** One of several views of the same thing: the open one stands on a thick edge. */
export const ViewLink = chakra(Link, {
  base: {
    textDecoration: 'none',
    paddingBottom: '6px',
    '&[aria-current=page]': { fontWeight: 700, borderBottom: `4px solid ${grey.ink}` },
    _hover: { background: 'tile' },
  },
});

export const Field = chakra('input', {
  base: {
    border: 'rule',
    background: 'tile',
    minHeight: '38px',
    [TOUCHED]: { minHeight: '52px' },
    paddingX: 3,
    width: '100%',
    minWidth: 0,
    fontSize: 'text',
  },
});

/** A value in a sentence that is edited where it stands. */
export const Inline = chakra('input', {
  base: {
    border: 'none',
    borderBottom: 'rule',
    background: 'transparent',
    minWidth: '1ch',
    maxWidth: '100%',
    padding: 0,
    borderRadius: 0,
    fieldSizing: 'content',
    fontWeight: 'inherit',
    fontSize: 'inherit',
    fontFamily: 'inherit',
    lineHeight: 1.3,
    _hover: { background: 'tile' },
    _focus: { background: 'tile' },
    '&[aria-invalid=true]': { borderBottom: `3px double ${grey.ink}` },
  },
});

export const InlineSelect = chakra('select', {
  base: {
    border: 'none',
    borderBottom: 'rule',
    background: 'transparent',
    borderRadius: 0,
    padding: 0,
    maxWidth: '100%',
    fieldSizing: 'content',
    fontWeight: 'inherit',
    fontSize: 'inherit',
    lineHeight: 1.3,
    cursor: 'pointer',
    appearance: 'none',
    _hover: { background: 'tile' },
    _focus: { background: 'tile' },
  },
});

export const Note = chakra('textarea', {
  base: {
    border: 'rule',
    background: 'tile',
    width: '100%',
    padding: 3,
    minHeight: '84px',
    resize: 'vertical',
    display: 'block',
  },
});

/** The paper strip beside the bench, for amounts and decisions. */
export const Strip = chakra('section', {
  base: {
    background: 'paper',
    borderLeft: 'rule',
    padding: 5,
    overflowY: 'auto',
    display: 'flex',
    flexDirection: 'column',
    gap: 4,
    minHeight: 0,
  },
});

export const Rule = chakra('hr', { base: { border: 'none', borderTop: 'rule', width: '100%' } });
export const Second = chakra('span', { base: { color: 'ink2', fontSize: 'small' } });
export const Caption = chakra('span', { base: { color: 'ink2', fontSize: 'caption' } });

export const Key = chakra('kbd', {
  base: {
    border: 'hair',
    fontFamily: 'body',
    fontSize: 'caption',
    paddingX: '5px',
    lineHeight: '17px',
    minWidth: '19px',
    display: 'inline-block',
    [TOUCHED]: { display: 'none' },
    textAlign: 'center',
  },
});

/** The dashed place where one more thing goes. */
export const Plus = chakra('button', {
  base: {
    border: 'dashed',
    width: '46px',
    height: '46px',
    fontWeight: 700,
    fontSize: 'h2',
    textAlign: 'center',
    flex: 'none',
    _hover: { background: 'tile' },
  },
});
