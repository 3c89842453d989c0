import { Box, Flex, Grid } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { leftByTheHour, type PieceCost } from '#core/batch';
import { showMinutes } from '#core/units';
import type { BatchAnswer, BenchSetupDto } from '#contract';
import { Value } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { Caption, Second, Word } from '../../../theme/pieces.js';
import { change } from '../../../wire/save.js';
import { money, percentWords, readMoney, readPercent } from './money.js';

interface PriceProps {
  readonly batch: BatchAnswer;
  readonly setup: BenchSetupDto;
  readonly disabled: boolean;
  /** prices of one kind of piece, looked at beside each other */
  readonly onPrices: (id: string, prices: number[]) => void;
}

/** What an hour is worth, and the share of everything else. */
function Rates({ setup }: Pick<PriceProps, 'setup'>): ReactElement {
  const save = (part: Partial<BenchSetupDto>): void => {
    void change('PUT', '/api/bench', { ...setup, ...part });
  };
  return (
    <Box>
      An hour of your hands is worth{' '}
      <Value
        label="What an hour is worth"
        text={money(setup.hourly ?? null)}
        placeholder="say how much"
        read={readMoney}
        onChange={(hourly) => {
          save({ hourly });
        }}
      />{' '}
      {setup.currency}, and for light, tools and the table at the market{' '}
      <Value
        label="Share of everything else"
        text={percentWords(setup.overhead ?? 0)}
        read={readPercent}
        onChange={(overhead) => {
          save({ overhead });
        }}
      />{' '}
      come on top.
    </Box>
  );
}

/** One line of what a piece costs. */
function Line({
  what,
  value,
  currency,
}: {
  readonly what: string;
  readonly value: number | null;
  readonly currency: string;
}) {
  return (
    <Flex justifyContent="space-between" borderBottom="hair" paddingY={1}>
      <span>{what}</span>
      <Box fontWeight={700} whiteSpace="nowrap" paddingLeft={3}>
        {value === null ? 'not known' : `${money(value)} ${currency}`}
      </Box>
    </Flex>
  );
}

interface OneProps {
  readonly name: string;
  readonly count: number;
  readonly cost: PieceCost;
  readonly prices: readonly number[];
  readonly setup: BenchSetupDto;
  readonly disabled: boolean;
  readonly onPrices: (prices: number[]) => void;
}

/** A price, and what it leaves. */
function OnePrice({ price, at, ...props }: OneProps & { readonly price: number; readonly at: number }): ReactElement {
  const { cost, count, prices, setup, disabled, onPrices } = props;
  const left = leftByTheHour(price, cost, setup.overhead ?? 0);
  return (
    <Box width="148px" borderLeft="rule" paddingLeft={3}>
      <Box fontSize="figure" fontWeight={700} lineHeight={1.1}>
        <Value
          label={`Price ${at + 1} of ${props.name}`}
          text={money(price)}
          disabled={disabled}
          read={(text) => readMoney(text) ?? 0}
          onChange={(next) => {
            onPrices(prices.map((p, i) => (i === at ? next : p)));
          }}
        />{' '}
        {setup.currency}
      </Box>
      <Box>{left === null ? 'what it leaves is not known' : `leaves ${money(left)} ${setup.currency} for an hour`}</Box>
      <Caption display="block">
        all {count}: {money(price * count)} {setup.currency}
      </Caption>
      {left !== null && left < 0 && <Warning>Clay and findings cost more than this.</Warning>}
      {!disabled && (
        <Word
          fontSize="small"
          onClick={() => {
            onPrices(prices.filter((_, i) => i !== at));
          }}
        >
          out
        </Word>
      )}
    </Box>
  );
}

/** Prices that are looked at beside each other at the most. */
const MOST = 6;
/** A first price: twice what it costs. */
const firstPrice = ({ total, clay, findings }: PieceCost): number =>
  Math.max(1, Math.round(2 * (total ?? (clay ?? 0) + (findings ?? 0))));

/** One kind of piece: what it costs, and what prices leave. */
function OnePiece(props: OneProps): ReactElement {
  const { name, count, cost, prices, setup, disabled, onPrices } = props;
  const { currency } = setup;
  return (
    <Grid
      as="section"
      aria-label={`Price of ${name}`}
      templateColumns="270px minmax(0, 1fr)"
      gap={6}
      borderTop="rule"
      paddingTop={3}
    >
      <Box>
        <h2>{name}</h2>
        <Line what="clay, with spares and what falls between" value={cost.clay} currency={currency} />
        <Line what="findings" value={cost.findings} currency={currency} />
        <Line what={`${showMinutes(cost.minutes)} by hand`} value={cost.hours} currency={currency} />
        {cost.lossShare > 0 && <Line what="what breaks beyond the spares" value={cost.losses} currency={currency} />}
        <Line what="share of everything else" value={cost.overhead} currency={currency} />
        <Flex justifyContent="space-between" paddingY={1} fontSize="h2">
          <b>One costs</b>
          <b>{cost.total === null ? 'not known yet' : `${money(cost.total)} ${currency}`}</b>
        </Flex>
      </Box>
      <Flex gap={4} wrap="wrap" alignItems="flex-start">
        {prices.map((price, at) => (
          <OnePrice key={at} {...props} price={price} at={at} />
        ))}
        {!disabled && prices.length < MOST && (
          <Word
            onClick={() => {
              onPrices([...prices, firstPrice(cost)]);
            }}
          >
            {prices.length === 0 ? `a price for ${name}` : 'another price beside it'}
          </Word>
        )}
        {prices.length === 0 && <Second>{count} to be sold</Second>}
      </Flex>
    </Grid>
  );
}

/** What each kind of piece costs, and what several prices leave for an hour by hand. */
export function Price({ batch, setup, disabled, onPrices }: PriceProps): ReactElement {
  const kinds = [...batch.pieces, ...batch.assemblies];
  const { costs } = batch.plan;
  return (
    <Flex direction="column" gap={4}>
      <Rates setup={setup} />
      {costs.length === 0 && <Second>Nothing can be made yet, so nothing is known of what it costs.</Second>}
      {costs.map((cost) => {
        const kind = kinds.find((k) => k.id === cost.id);
        if (!kind) return null;
        return (
          <OnePiece
            key={cost.id}
            {...{ name: kind.name, count: kind.count, cost, setup, disabled }}
            prices={kind.prices ?? []}
            onPrices={(prices) => {
              onPrices(kind.id, prices);
            }}
          />
        );
      })}
      <Warning>
        Who sells to the public follows the product rules of their country: small parts are no toys for small children,
        and labels say what is in it. Where in doubt, ask a qualified person.
      </Warning>
      {batch.plan.breakage !== null && (
        <Caption>
          Of a hundred pieces about {Math.round(100 * batch.plan.breakage)} break, as your bench taught: spares make up
          for them, and what breaks beyond those is in the price.
        </Caption>
      )}
      <Caption>
        Minutes are what each step usually takes, with its share of what is done for all; scrap costs nothing, since it
        was paid before.
      </Caption>
    </Flex>
  );
}
