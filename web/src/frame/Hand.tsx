import { Box, Flex, chakra } from '@chakra-ui/react';
import { useRef, type ReactElement } from 'react';
import { Link, NavLink } from 'react-router';
import type { Rights } from '#contract';
import { Saving } from '../parts/Saving.js';
import { useView } from '../state/view.js';
import { Action } from '../theme/pieces.js';
import { AT_HAND, AT_TABLE, STATIONS } from './stations.js';

const Below = chakra(NavLink, {
  base: {
    flex: 1,
    minHeight: '64px',
    display: 'flex',
    alignItems: 'center',
    justifyContent: 'center',
    fontFamily: 'heading',
    fontSize: '18px',
    textDecoration: 'none',
    borderTop: '6px solid transparent',
    '&.active': { fontWeight: 700, borderTopColor: 'ink', background: 'tile' },
  },
});

const More = chakra('button', {
  base: { flex: 1, minHeight: '64px', fontFamily: 'heading', fontSize: '18px', textAlign: 'center' },
});

const Sheet = chakra('dialog', {
  base: {
    border: 'rule',
    borderTop: 'thick',
    background: 'paper',
    padding: 5,
    margin: 'auto',
    width: 'min(92vw, 420px)',
    _backdrop: { background: 'rgba(20,20,20,0.35)' },
  },
});

const Large = chakra(Link, {
  base: { display: 'block', fontSize: '21px', fontFamily: 'heading', paddingY: 3, borderTop: 'hair' },
});

/** The stations that are made for a table, and the units. */
function TheRest({ rights }: { readonly rights: Rights }): ReactElement {
  const dialog = useRef<HTMLDialogElement>(null);
  const { units, turnUnits } = useView();
  const close = (): void => {
    dialog.current?.close();
  };
  return (
    <>
      <More
        aria-haspopup="dialog"
        onClick={() => {
          dialog.current?.showModal();
        }}
      >
        More
      </More>
      <Sheet ref={dialog} aria-label="More">
        {rights === 'all' &&
          STATIONS.filter(([path]) => AT_TABLE.includes(path)).map(([path, name]) => (
            <Large key={path} to={`/${path}`} onClick={close}>
              {name}
            </Large>
          ))}
        <Flex gap={3} marginTop={4} wrap="wrap">
          <Action onClick={turnUnits}>{units === 'metric' ? 'in inches and °F' : 'in millimetres and °C'}</Action>
          <Action onClick={close}>Close</Action>
        </Flex>
      </Sheet>
    </>
  );
}

/** The top of a screen that is held: what is saved, and the way back. */
export function HandHeader(): ReactElement {
  return (
    <Flex
      as="header"
      background="paper"
      borderBottom="rule"
      alignItems="center"
      justifyContent="space-between"
      paddingX={4}
      minHeight="52px"
      gap={4}
      css={{ '@media print': { display: 'none' } }}
    >
      <Box fontFamily="heading" fontWeight={800} fontSize="21px">
        Sledge
      </Box>
      <Saving />
    </Flex>
  );
}

/** The few ways along the bottom of a screen that is held, for a thumb. */
export function HandNav({ rights }: { readonly rights: Rights }): ReactElement {
  const ways = AT_HAND.filter(([path]) => rights === 'all' || path !== 'shelf');
  return (
    <Flex
      as="nav"
      aria-label="Stations"
      background="paper"
      borderTop="rule"
      css={{ paddingBottom: 'env(safe-area-inset-bottom)', '@media print': { display: 'none' } }}
    >
      {ways.map(([path, name]) => (
        <Below key={path} to={`/${path}`}>
          {name}
        </Below>
      ))}
      <TheRest rights={rights} />
    </Flex>
  );
}
