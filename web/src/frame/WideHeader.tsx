import { Box, Flex, chakra } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { NavLink, useNavigate } from 'react-router';
import type { Rights } from '#contract';
import { Saving } from '../parts/Saving.js';
import { useView } from '../state/view.js';
import { Key } from '../theme/pieces.js';
import { STATIONS, stationsFor } from './stations.js';

const StationLink = chakra(NavLink, {
  base: {
    fontFamily: 'heading',
    fontSize: 'h2',
    textDecoration: 'none',
    paddingX: '9px',
    '@media (max-width: 1360px)': { paddingX: '6px', fontSize: '17px', gap: '4px' },
    '@media (max-width: 1200px)': { paddingX: '2px', fontSize: '14px', gap: '2px' },
    height: '56px',
    display: 'inline-flex',
    alignItems: 'center',
    gap: 2,
    borderBottom: '9px solid transparent',
    paddingTop: '9px',
    '&.active': { fontWeight: 700, borderBottomColor: 'ink' },
    _hover: { borderBottomColor: 'hairline' },
  },
});

/** Words there is room for only on a wide screen; the key stays. */
const Wide = chakra('span', { base: { '@media (max-width: 1360px)': { display: 'none' } } });

const Switch = chakra('button', {
  base: { display: 'inline-flex', gap: 1, alignItems: 'center', fontSize: 'small', whiteSpace: 'nowrap' },
});

/** The stations, in the order of the work. */
function Stations({ rights }: { readonly rights: Rights }): ReactElement {
  return (
    <Flex as="nav" aria-label="Stations" flex={1} gap={1} alignSelf="stretch">
      {stationsFor(rights).map((station) => (
        <StationLink key={station[0]} to={`/${station[0]}`}>
          <Box as="span" fontFamily="body" fontSize="caption" fontWeight={400} color="ink2" aria-hidden>
            {STATIONS.indexOf(station) + 1}
          </Box>
          {station[1]}
        </StationLink>
      ))}
    </Flex>
  );
}

interface SwitchesProps {
  readonly onKeys: () => void;
  /** copies are looked after at the computer itself */
  readonly here: boolean;
}

interface HeaderProps extends SwitchesProps {
  readonly rights: Rights;
}

/** Units, the lamp, copies, and the list of keys. */
function Switches({ onKeys, here }: SwitchesProps): ReactElement {
  const { units, lamp, turnUnits, turnLamp } = useView();
  const navigate = useNavigate();
  return (
    <>
      <Switch onClick={turnUnits} aria-label={`Units: ${units}`}>
        {units === 'metric' ? 'mm' : 'in'}
        <Wide>{units === 'metric' ? '· g · °C' : '· oz · °F'}</Wide> <Key>U</Key>
      </Switch>
      <Switch onClick={turnLamp} aria-pressed={lamp} aria-label="Lamp check">
        Lamp<Wide>check</Wide> <Key>L</Key>
      </Switch>
      {here && (
        <Switch
          onClick={() => {
            void navigate('/copies');
          }}
          aria-label="Copies of your data"
          title="Keep a copy of your data, or take one up (shift Y)"
        >
          Copies
        </Switch>
      )}
      <Switch onClick={onKeys} aria-label="Keys">
        <Wide>Keys</Wide> <Key>?</Key>
      </Switch>
    </>
  );
}

/** The top of every page. */
export function WideHeader({ onKeys, here, rights }: HeaderProps): ReactElement {
  return (
    <Flex
      as="header"
      background="paper"
      borderBottom="rule"
      alignItems="center"
      paddingX={5}
      gap={4}
      css={{
        '@media (max-width: 1100px)': { gap: '10px', paddingInline: '12px' },
        '@media print': { display: 'none' },
      }}
    >
      <Box fontFamily="heading" fontWeight={800} fontSize="23px" marginRight={3}>
        Sledge
      </Box>
      <Stations rights={rights} />
      <Saving />
      <Switches onKeys={onKeys} here={here} />
    </Flex>
  );
}
