import { Box, Flex, Grid } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { FINDING_FORMS } from '#core/piece';
import type { FindingDto } from '#contract';
import { Choice } from '../../../parts/Choice.js';
import { Empty, Reading } from '../../../parts/Empty.js';
import { freeName, takenNames } from '../../../parts/names.js';
import { CountValue, LengthValue, TextValue, Value } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { useKeys } from '../../../state/keys.js';
import { Action, Caption, Second, Word } from '../../../theme/pieces.js';
import { useFindings, useMachines } from '../../../wire/queries.js';
import { change, put, useRefusal } from '../../../wire/save.js';
import { FINDING_WORDS } from '../assembled/partWords.js';
import { money, readMoney } from '../price/money.js';
import { FindingShape } from './FindingShape.js';

const newFinding = (all: readonly FindingDto[]): FindingDto => ({
  ...{ id: crypto.randomUUID(), version: 0, name: freeName('Pin back', takenNames(all)), form: 'pin' },
  ...{ widthMm: 5, lengthMm: 25, count: 10, price: null, keptIn: '' },
});

interface OneProps {
  readonly finding: FindingDto;
  readonly currency: string;
}

interface DetailsProps extends OneProps {
  readonly says: (field: string) => string | undefined;
  readonly set: (part: Partial<FindingDto>) => void;
}

/** Its sort, its size, its price, and where it is kept. */
function Details({ finding, currency, says, set }: DetailsProps): ReactElement {
  return (
    <Second>
      <Choice
        label={`Sort of ${finding.name}`}
        value={finding.form}
        options={FINDING_FORMS.map((value) => ({ value, text: FINDING_WORDS[value] }))}
        onChange={(form) => {
          set({ form });
        }}
      />{' '}
      <LengthValue
        label={`Width of ${finding.name}`}
        value={finding.widthMm}
        refusal={says('widthMm')}
        onChange={(widthMm) => {
          set({ widthMm });
        }}
      />{' '}
      ×{' '}
      <LengthValue
        label={`Length of ${finding.name}`}
        value={finding.lengthMm}
        refusal={says('lengthMm')}
        onChange={(lengthMm) => {
          set({ lengthMm });
        }}
      />
      , one costs{' '}
      <Value
        label={`Price of ${finding.name}`}
        text={money(finding.price)}
        placeholder="not known"
        read={readMoney}
        refusal={says('price')}
        onChange={(price) => {
          set({ price });
        }}
      />{' '}
      {finding.price === null ? '' : currency} · in{' '}
      <TextValue
        label={`Where ${finding.name} is kept`}
        value={finding.keptIn}
        placeholder="a place"
        onChange={(keptIn) => {
          set({ keptIn });
        }}
      />
    </Second>
  );
}

/** One sort of finding: what it looks like, how many there are, and what one costs. */
function OneFinding({ finding, currency }: OneProps): ReactElement {
  const path = `/api/pieces/findings/${finding.id}`;
  const refusal = useRefusal(path);
  const set = (part: Partial<FindingDto>): void => {
    const next = { ...finding, ...part };
    void put<FindingDto>(path, next, next);
  };
  const says = (field: string): string | undefined => refusal?.sentenceFor(field);
  return (
    <Grid as="li" templateColumns="72px minmax(0, 1fr) 120px" gap={4} alignItems="center" borderTop="hair" paddingY={2}>
      <FindingShape finding={finding} />
      <Box minWidth={0}>
        <Box fontFamily="heading" fontWeight={700} fontSize="h2">
          <TextValue
            label="Name of the finding"
            value={finding.name}
            refusal={says('name')}
            onChange={(name) => {
              set({ name });
            }}
          />
        </Box>
        <Details {...{ finding, currency, says, set }} />
        {refusal && refusal.problem.fields === undefined && <Warning>{refusal.message}</Warning>}
      </Box>
      <Box textAlign="right">
        <Box fontSize="figure" fontWeight={700} lineHeight={1}>
          <CountValue
            label={`Number of ${finding.name}`}
            value={finding.count}
            refusal={says('count')}
            onChange={(count) => {
              set({ count });
            }}
          />
        </Box>
        <Word
          fontSize="small"
          onClick={() => {
            void change('DELETE', `${path}?version=${finding.version}`);
          }}
        >
          take away
        </Word>
      </Box>
    </Grid>
  );
}

/** Metal parts and cords that lie there: how many, and what one costs. */
export default function Findings(): ReactElement {
  const findings = useFindings();
  const currency = useMachines().data?.setup.currency ?? '';
  const all = findings.data ?? [];
  const add = (): void => {
    const dto = newFinding(all);
    void change('PUT', `/api/pieces/findings/${dto.id}`, dto);
  };
  useKeys('Findings', [{ key: 'n', does: 'New finding', run: add }]);
  if (!findings.data) return <Reading error={findings.error} />;
  if (all.length === 0)
    return (
      <Empty title="No findings yet" action="Note a finding" onAction={add}>
        Pins, rings, ear wires, posts, bezels and cords: how many there are, and what one costs. Batches say when they
        run out, and what a piece costs with them.
      </Empty>
    );
  return (
    <Flex direction="column" gap={3} padding={5} height="100%" overflowY="auto" maxWidth="860px">
      <Flex alignItems="baseline" gap={4} wrap="wrap">
        <h1>Findings</h1>
        <Link to="/batches">to the batches</Link>
        <Caption>a batch takes them off when it is done</Caption>
      </Flex>
      <ul aria-label="Findings">
        {all.map((finding) => (
          <OneFinding key={finding.id} finding={finding} currency={currency} />
        ))}
      </ul>
      <Action alignSelf="flex-start" onClick={add}>
        Note a finding
      </Action>
    </Flex>
  );
}
