import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import type { LetInCard } from '#contract';
import { Choice } from '../../../parts/Choice.js';
import { TextValue } from '../../../parts/Value.js';
import { Second, Word } from '../../../theme/pieces.js';
import { showDate } from '../../../state/today.js';
import { RIGHTS_WORDS } from './networkWords.js';
import type { Network } from './useNetwork.js';

interface OneProps {
  readonly device: LetInCard;
  readonly network: Network;
}

/** `2026-11-29` of an ISO time. */
const dayOf = (at: string): string => at.slice(0, 'yyyy-mm-dd'.length);

function OneDevice({ device, network }: OneProps): ReactElement {
  const { name, rights, since, seen, there } = device;
  return (
    <Flex as="li" gap={4} alignItems="baseline" borderTop="hair" paddingY={2} wrap="wrap">
      <Box fontSize="figure" fontFamily="heading" minWidth="200px">
        <TextValue
          label="Name of the device"
          value={name}
          onChange={(next) => {
            void network.change({ ...device, name: next });
          }}
        />
      </Box>
      <span>
        may do{' '}
        <Choice
          label={`What ${name} may do`}
          value={rights}
          options={RIGHTS_WORDS}
          onChange={(next) => {
            void network.change({ ...device, rights: next });
          }}
        />
      </span>
      <Second>
        let in {showDate(dayOf(since))}, {there ? <b>here now</b> : `here last ${showDate(dayOf(seen))}`}
      </Second>
      <Word
        aria-label={`Shut out ${name}`}
        onClick={() => {
          void network.shutOut(device.id);
        }}
      >
        shut out
      </Word>
    </Flex>
  );
}

/** Who was let in, with what they may do, and the way to shut each out. */
export function LetIn({ network }: Pick<OneProps, 'network'>): ReactElement {
  const devices = network.data?.devices ?? [];
  return (
    <Box as="section" aria-label="Who is let in" maxWidth="900px">
      <Box as="h2" marginBottom={2}>
        Who is let in
      </Box>
      {devices.length === 0 && <Second>No tablet and no phone yet.</Second>}
      <ul>
        {devices.map((device) => (
          <OneDevice key={device.id} device={device} network={network} />
        ))}
      </ul>
    </Box>
  );
}
