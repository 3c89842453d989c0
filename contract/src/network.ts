import { IsBoolean, IsIn, IsString, MaxLength } from 'class-validator';
import { Id, Name, all } from './rules.js';

/** What a tablet or a phone may do: everything but the copies and this list, or only the bench and the diary. */
export const RIGHTS = ['all', 'bench'] as const;
export type Rights = (typeof RIGHTS)[number];

/** A tablet or a phone that was let in. */
export interface LetInCard {
  readonly id: string;
  readonly name: string;
  readonly rights: Rights;
  /** ISO times: let in, and heard of last */
  readonly since: string;
  readonly seen: string;
  /** it is connected now */
  readonly there: boolean;
}

/** What lets one device in: six words, good once. */
export interface CodeAnswer {
  readonly words: readonly string[];
  readonly rights: Rights;
  /** ISO time after which it lets nobody in */
  readonly until: string;
}

/** GET /api/network, answered on the computer itself only. */
export interface NetworkAnswer {
  /** a garden or a copy that is looked round in answers no other device */
  readonly possible: boolean;
  readonly on: boolean;
  /** switched on by SLEDGE_LAN, so that it cannot be switched off here */
  readonly fixed: boolean;
  /** where it answers on the network; empty: it does not */
  readonly addresses: readonly string[];
  /** why it does not answer though it is switched on */
  readonly failed: string | null;
  /** SHA-256 of its certificate, as browsers show it */
  readonly fingerprint: string | null;
  readonly devices: readonly LetInCard[];
  readonly code: CodeAnswer | null;
  /** wrong codes since Sledge was started */
  readonly wrong: number;
}

/** PUT /api/network */
export class NetworkDto {
  @IsBoolean({ message: 'Say whether other devices are answered.' }) on!: boolean;
}

const RightsRule = (): PropertyDecorator =>
  IsIn(RIGHTS, { message: 'A device may do everything, or only the bench and the diary.' });

/** POST /api/network/code */
export class CodeDto {
  @RightsRule() rights!: Rights;
}

const Words = (): PropertyDecorator =>
  all(IsString({ message: 'Type the six words.' }), MaxLength(200, { message: 'That is more than six words.' }));

/** POST /api/network/in: a device that wants to be let in. */
export class LetInDto {
  @Words() words!: string;
  @Name('A tablet or a phone') name!: string;
}

/** PUT /api/network/devices/:id */
export class LetInCardDto {
  @Id() id!: string;
  @Name('A tablet or a phone') name!: string;
  @RightsRule() rights!: Rights;
}

/** GET /api/network/me: who asks. */
export interface MeAnswer {
  /** the computer that Sledge runs on */
  readonly here: boolean;
  readonly name: string | null;
  readonly rights: Rights;
}

/** The port on the network; `SLEDGE_LAN_PORT` overrides. */
export const NETWORK_PORT = 5418;
