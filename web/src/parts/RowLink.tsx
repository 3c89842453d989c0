import { chakra } from '@chakra-ui/react';
import { Link } from 'react-router';
import { grey } from '../theme/grey.js';

/** One row of a list at the left edge; the open one stands on a thick edge. */
export const RowLink = chakra(Link, {
  base: {
    display: 'block',
    textDecoration: 'none',
    padding: 3,
    paddingLeft: '21px',
    borderBottom: 'hair',
    _hover: { background: 'tile' },
    '&[aria-current=page]': { boxShadow: `inset 9px 0 0 ${grey.ink}`, background: 'tile' },
  },
});
