import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import type { NetworkAnswer, Rights } from '#contract';
import { Choice } from '../../../parts/Choice.js';
import { Empty, Reading } from '../../../parts/Empty.js';
import { Warning } from '../../../parts/Warning.js';
import { useKeys } from '../../../state/keys.js';
import { Action, Key, Second } from '../../../theme/pieces.js';
import { useMe } from '../../../wire/queries.js';
import { LetIn } from './LetIn.js';
import { OneCode } from './OneCode.js';
import { RIGHTS_WORDS } from './networkWords.js';
import { useNetwork, type Network } from './useNetwork.js';

/** Switched off: what it would be, and the switch. */
function Off({ network }: { readonly network: Network }): ReactElement {
  return (
    <Box maxWidth="620px">
      <Box marginBottom={4}>
        Sledge answers only this computer. Switched on, it answers tablets and phones on your own network too: those
        that you let in, each with a code, and over a connection that nobody listens to.
      </Box>
      <Action
        main
        onClick={() => {
          void network.turn(true);
        }}
      >
        Switch it on
      </Action>
    </Box>
  );
}

interface OnProps {
  readonly network: Network;
  readonly answer: NetworkAnswer;
}

/** Asks for a code, or shows the one there is. */
function LetOneIn({ network, answer }: OnProps): ReactElement {
  const [rights, setRights] = useState<Rights>('all');
  const ask = (): void => {
    void network.makeCode(rights);
  };
  useKeys('Tablet and phone', [{ key: 'n', does: 'A code for one more device', run: ask }]);
  return (
    <>
      <Flex gap={4} alignItems="center" wrap="wrap">
        <Action main={answer.code === null} onClick={ask}>
          Let one in <Key>N</Key>
        </Action>
        <span>
          that may do <Choice label="What it may do" value={rights} options={RIGHTS_WORDS} onChange={setRights} />
        </span>
      </Flex>
      {answer.code && (
        <OneCode
          network={answer}
          code={answer.code}
          onLetGo={() => {
            void network.letCodeGo();
          }}
        />
      )}
      {answer.wrong > 0 && (
        <Second>
          {answer.wrong === 1 ? 'One wrong code was' : `${answer.wrong} wrong codes were`} typed since Sledge was
          started. After five, each address has to wait.
        </Second>
      )}
    </>
  );
}

function On({ network, answer }: OnProps): ReactElement {
  return (
    <>
      <Flex gap={4} alignItems="baseline" wrap="wrap">
        <span>
          Sledge answers at <b>{answer.addresses.join(', ')}</b>
        </span>
        {answer.fixed ? (
          <Second>switched on by SLEDGE_LAN</Second>
        ) : (
          <Action
            onClick={() => {
              void network.turn(false);
            }}
          >
            Switch it off
          </Action>
        )}
      </Flex>
      <LetOneIn network={network} answer={answer} />
      <LetIn network={network} />
    </>
  );
}

function HowItStands({ network, answer }: OnProps): ReactElement {
  if (!answer.possible)
    return <Second>Tablets and phones are let in at your own Sledge, not at one to look round in.</Second>;
  if (!answer.on) return <Off network={network} />;
  if (answer.addresses.length > 0) return <On network={network} answer={answer} />;
  return (
    <>
      <Warning>
        {answer.failed ?? 'This computer is on no network now. Connect it, then switch this off and on.'}
      </Warning>
      <Off network={network} />
    </>
  );
}

/** Tablets and phones at the bench: whether they are answered, and who was let in. */
export default function Others(): ReactElement {
  const me = useMe();
  if (!me.data) return <Reading error={me.error} />;
  if (!me.data.here)
    return <Empty title="At the computer">Tablets and phones are let in at the computer that Sledge runs on.</Empty>;
  return <AtTheComputer />;
}

function AtTheComputer(): ReactElement {
  const network = useNetwork();
  if (!network.data) return <Reading error={network.error} />;
  return (
    <Flex direction="column" gap={5} padding={6} overflowY="auto" height="100%">
      <div>
        <Link to="/bench">the bench</Link>
        <h1>Tablet and phone</h1>
      </div>
      {network.wrong !== null && <Warning>{network.wrong}</Warning>}
      <HowItStands network={network} answer={network.data} />
    </Flex>
  );
}
