import { Box, Flex } from '@chakra-ui/react';
import { QRCodeSVG } from 'qrcode.react';
import { useState, type ReactElement } from 'react';
import type { CodeAnswer, NetworkAnswer } from '#contract';
import { Choice } from '../../../parts/Choice.js';
import { leftWords } from '../../../state/timers.js';
import { useSeconds } from '../../../state/useSeconds.js';
import { Caption, Word } from '../../../theme/pieces.js';
import { grey } from '../../../theme/grey.js';
import { codeAddress, inGroups } from './networkWords.js';

interface CodeProps {
  readonly network: Pick<NetworkAnswer, 'addresses' | 'fingerprint'>;
  readonly code: CodeAnswer;
  readonly onLetGo: () => void;
}

/** px of the picture of a code. */
const PICTURE = 236;

/** The six words, to be typed where nothing can be photographed. */
function Words({ words }: Pick<CodeAnswer, 'words'>): ReactElement {
  return (
    <Box as="ol" aria-label="The six words" fontSize="h2" fontWeight={700} lineHeight={1.35}>
      {words.map((word, i) => (
        <li key={i}>{word}</li>
      ))}
    </Box>
  );
}

/** What the browser of the device will warn of, and what to compare. */
function Fingerprint({ fingerprint }: Pick<NetworkAnswer, 'fingerprint'>): ReactElement | null {
  if (fingerprint === null) return null;
  return (
    <Box maxWidth="520px" fontSize="small">
      The browser there will warn that it does not know this address: nobody else vouches for it. What it shows as the
      fingerprint (SHA-256) of its certificate has to be
      <Flex
        wrap="wrap"
        columnGap={3}
        marginTop={1}
        aria-label="Fingerprint"
        css={{ fontVariantNumeric: 'tabular-nums' }}
      >
        {inGroups(fingerprint).map((group, i) => (
          <span key={i}>{group}</span>
        ))}
      </Flex>
    </Box>
  );
}

/** A code that lets one device in: photographed, or typed. */
export function OneCode({ network, code, onLetGo }: CodeProps): ReactElement | null {
  const [chosen, setChosen] = useState<string | null>(null);
  const now = useSeconds(true);
  const left = Date.parse(code.until) - now;
  const address = network.addresses.find((one) => one === chosen) ?? network.addresses[0];
  if (address === undefined || left <= 0) return null;
  return (
    <Flex direction="column" gap={4} as="section" aria-label="A code">
      <Flex gap={6} wrap="wrap" alignItems="flex-start">
        <Box background="white" padding={4} border="rule">
          <QRCodeSVG
            value={codeAddress(address, code.words)}
            size={PICTURE}
            level="M"
            fgColor={grey.ink}
            title="Photograph this with the tablet or the phone"
          />
        </Box>
        <Box>
          <Box>
            Photograph this with the device, or open{' '}
            {network.addresses.length > 1 ? (
              <Choice
                label="Address"
                value={address}
                options={network.addresses.map((value) => ({ value, text: value }))}
                onChange={setChosen}
              />
            ) : (
              <b>{address}</b>
            )}{' '}
            there and type
          </Box>
          <Words words={code.words} />
          <Caption>
            good once, for {leftWords(left)} · <Word onClick={onLetGo}>let it go</Word>
          </Caption>
        </Box>
      </Flex>
      <Fingerprint fingerprint={network.fingerprint} />
    </Flex>
  );
}
