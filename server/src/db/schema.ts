import {
  boolean,
  customType,
  date,
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  real,
  smallint,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import type { StatementBy } from '@sounding/contract/api.ts';
import type { CircumstancesBody, PlanBody } from '@sounding/contract/plan.ts';
import type { Overrule } from '@sounding/core/treatment/decide.ts';
import type { InstrumentKind, Measured } from '@sounding/core/instruments/line.ts';
import type { Climate, Hemisphere } from '@sounding/core/edition/climates.ts';
import type { Edition, Outcome } from '@sounding/core/edition/edition.ts';
import type { Channel } from '@sounding/core/edition/findings.ts';
import type { Act } from '@sounding/core/edition/options.ts';

/** Every row carries its desk. Times are instants with zone; `…On` columns are calendar dates. */
const id = () => uuid().primaryKey();
const instant = () => timestamp({ withTimezone: true });

export const desks = pgTable('desks', {
  id: id(),
  name: text().notNull(),
  climate: text().$type<Climate>().notNull(),
  hemisphere: text().$type<Hemisphere>().notNull(),
  demo: boolean().notNull().default(false),
  /** A demo desk lives on a day of its own; null = the calendar's. */
  today: date(),
  nextCaseNumber: integer().notNull().default(1),
});
const deskId = () =>
  uuid()
    .notNull()
    .references(() => desks.id);

export const people = pgTable('people', { id: id(), deskId: deskId(), name: text().notNull(), role: text().notNull() });

export const sessions = pgTable('sessions', {
  tokenHash: text().primaryKey(),
  deskId: deskId(),
  personId: uuid()
    .notNull()
    .references(() => people.id),
  createdAt: instant().notNull().defaultNow(),
});

export const stations = pgTable('stations', {
  id: id(),
  deskId: deskId(),
  name: text().notNull(),
  lat: doublePrecision().notNull(),
  lon: doublePrecision().notNull(),
  altitudeM: integer().notNull(),
  /** Fetched by itself from the weather service; others are filled from files. */
  fetched: boolean().notNull().default(false),
});

/** What a station measures or a service foretells of one day; null = not known. */
const dayFigures = () => ({ minC: real(), maxC: real(), rainMm: real(), windMs: real(), humidityPct: real() });

export const weatherDays = pgTable(
  'weather_days',
  {
    deskId: deskId(),
    stationId: uuid()
      .notNull()
      .references(() => stations.id),
    on: date().notNull(),
    ...dayFigures(),
  },
  (t) => [primaryKey({ columns: [t.stationId, t.on] })],
);

/** What the weather service foretells, as of the day it was issued; replaced whole by the next. */
export const forecastDays = pgTable(
  'forecast_days',
  {
    deskId: deskId(),
    stationId: uuid()
      .notNull()
      .references(() => stations.id),
    on: date().notNull(),
    issuedOn: date().notNull(),
    ...dayFigures(),
  },
  (t) => [primaryKey({ columns: [t.stationId, t.on] })],
);

/** Hours a station has measured itself, where it does; solar time. */
export const weatherHours = pgTable(
  'weather_hours',
  {
    deskId: deskId(),
    stationId: uuid()
      .notNull()
      .references(() => stations.id),
    on: date().notNull(),
    hour: smallint().notNull(),
    tempC: real().notNull(),
    humidityPct: real().notNull(),
    /** Leaf wetness as a sensor says, else by humidity. */
    wet: boolean().notNull(),
  },
  (t) => [primaryKey({ columns: [t.stationId, t.on, t.hour] })],
);

/** How the last fetch of a station went. */
export const weatherFetches = pgTable('weather_fetches', {
  deskId: deskId(),
  stationId: uuid()
    .primaryKey()
    .references(() => stations.id),
  triedAt: instant().notNull(),
  fetchedAt: instant(),
  trouble: text(),
});

/** Every edition a case was answered with, kept whole so that the answer can be had again. */
export const editions = pgTable(
  'editions',
  { deskId: deskId(), version: text().notNull(), body: jsonb().$type<Edition>().notNull(), firstUsedAt: instant().notNull().defaultNow() },
  (t) => [primaryKey({ columns: [t.deskId, t.version] })],
);

/** What a desk has written into its library. Rows are only added: the newest of an entry stands, an empty text gives the shipped entry back. */
export const libraryEntries = pgTable(
  'library_entries',
  {
    id: id(),
    deskId: deskId(),
    kind: text().$type<'plants' | 'findings' | 'causes'>().notNull(),
    entryId: text().notNull(),
    body: text().notNull(),
    note: text().notNull().default(''),
    byPerson: uuid()
      .notNull()
      .references(() => people.id),
    /** Counts up for each desk; the newest number names the desk's edition. */
    revision: integer().notNull(),
    writtenAt: instant().notNull(),
  },
  (t) => [uniqueIndex().on(t.deskId, t.revision), index().on(t.deskId, t.kind, t.entryId)],
);

export const callers = pgTable('callers', {
  id: id(),
  deskId: deskId(),
  name: text().notNull(),
  phone: text().notNull().default(''),
  email: text().notNull().default(''),
});

export const gardens = pgTable('gardens', {
  id: id(),
  deskId: deskId(),
  callerId: uuid()
    .notNull()
    .references(() => callers.id),
  place: text().notNull().default(''),
  stationId: uuid().references(() => stations.id),
});

/** What grows in a caller's garden, as it came up in their calls: one row a kind of plant. */
export const plants = pgTable(
  'plants',
  {
    id: id(),
    deskId: deskId(),
    gardenId: uuid()
      .notNull()
      .references(() => gardens.id),
    hostId: text().notNull(),
    firstNamedOn: date().notNull(),
  },
  (t) => [uniqueIndex().on(t.gardenId, t.hostId)],
);

export type CaseStatus = 'waiting' | 'open' | 'answered' | 'closed';
export const cases = pgTable(
  'cases',
  {
    id: id(),
    deskId: deskId(),
    number: integer().notNull(),
    status: text().$type<CaseStatus>().notNull(),
    channel: text().$type<'telephone' | 'email' | 'table'>().notNull(),
    callerId: uuid()
      .notNull()
      .references(() => callers.id),
    gardenId: uuid()
      .notNull()
      .references(() => gardens.id),
    opening: text().notNull().default(''),
    receivedAt: instant().notNull(),
    takenBy: uuid().references(() => people.id),
    followUpOn: date(),
  },
  (t) => [uniqueIndex().on(t.deskId, t.number), index().on(t.deskId, t.status, t.receivedAt)],
);

export const caseQuestions = pgTable(
  'case_questions',
  {
    id: id(),
    deskId: deskId(),
    caseId: uuid()
      .notNull()
      .references(() => cases.id),
    position: integer().notNull(),
    title: text().notNull().default(''),
    hostId: text(),
    stationId: uuid().references(() => stations.id),
    climate: text().$type<Climate>().notNull(),
    hemisphere: text().$type<Hemisphere>().notNull(),
    setting: text().$type<'phone' | 'table'>().notNull().default('phone'),
    edition: text().notNull(),
    openedOn: date().notNull(),
    circumstances: jsonb().$type<CircumstancesBody>().notNull().default({}),
    overrule: jsonb().$type<Overrule>(),
    plan: jsonb().$type<PlanBody>(),
  },
  (t) => [index().on(t.caseId, t.position)],
);

export const statements = pgTable(
  'statements',
  {
    id: id(),
    deskId: deskId(),
    questionId: uuid()
      .notNull()
      .references(() => caseQuestions.id),
    said: text().notNull(),
    asked: text(),
    /** Whose words these are: the caller's, or what came of a test, an instrument or a picture. */
    by: text().$type<StatementBy>().notNull().default('caller'),
    saidAt: instant().notNull(),
  },
  (t) => [index().on(t.questionId, t.saidAt)],
);

export const readings = pgTable(
  'readings',
  {
    id: id(),
    deskId: deskId(),
    questionId: uuid()
      .notNull()
      .references(() => caseQuestions.id),
    statementId: uuid().references(() => statements.id),
    /** Order in which they were taken; the sounding line follows it. */
    position: integer().notNull(),
    finding: text().notNull(),
    answer: text().notNull(),
    channel: text().$type<Channel>().notNull(),
    fromWords: text().notNull().default(''),
    takenAt: instant().notNull(),
    withdrawnAt: instant(),
  },
  (t) => [index().on(t.questionId, t.position)],
);

const bytes = customType<{ data: Buffer }>({ dataType: () => 'bytea' });

/** Pictures of a case, made anew from what was sent so that nothing but the picture is in them. */
export const pictures = pgTable(
  'pictures',
  {
    id: id(),
    deskId: deskId(),
    questionId: uuid()
      .notNull()
      .references(() => caseQuestions.id),
    /** What was read from it. */
    statementId: uuid().references(() => statements.id),
    width: integer().notNull(),
    height: integer().notNull(),
    /** JPEG. */
    image: bytes().notNull(),
    takenAt: instant().notNull(),
  },
  (t) => [index().on(t.questionId, t.takenAt)],
);

/** What instruments at the table have sent. An instrument numbers its readings, so one sent twice is stored once. */
export const instrumentReadings = pgTable(
  'instrument_readings',
  {
    id: id(),
    deskId: deskId(),
    serial: text().notNull(),
    seq: integer().notNull(),
    instrument: text().$type<InstrumentKind>().notNull(),
    measured: jsonb().$type<Measured>().notNull(),
    takenAt: instant().notNull(),
    /** The question it was taken in to; null = waiting. */
    questionId: uuid().references(() => caseQuestions.id),
  },
  (t) => [uniqueIndex().on(t.deskId, t.serial, t.seq), index().on(t.deskId, t.takenAt)],
);

export const differentialSnapshots = pgTable(
  'differential_snapshots',
  {
    id: id(),
    deskId: deskId(),
    questionId: uuid()
      .notNull()
      .references(() => caseQuestions.id),
    edition: text().notNull(),
    engine: text().notNull(),
    standing: jsonb().$type<{ cause: string; probability: number }[]>().notNull(),
    readings: jsonb().$type<string[]>().notNull(),
    takenAt: instant().notNull(),
  },
  (t) => [index().on(t.questionId, t.takenAt)],
);

export const advice = pgTable(
  'advice',
  {
    id: id(),
    deskId: deskId(),
    questionId: uuid()
      .notNull()
      .references(() => caseQuestions.id),
    body: text().notNull(),
    act: text().$type<Act>().notNull(),
    causeId: text().notNull(),
    probability: doublePrecision().notNull(),
    edition: text().notNull(),
    overrule: text().notNull().default(''),
    byPerson: uuid()
      .notNull()
      .references(() => people.id),
    updatedAt: instant().notNull(),
  },
  (t) => [uniqueIndex().on(t.questionId)],
);

/** Causes that somebody has confirmed; one stands for each question, the newest. Nothing is learned from anything else. */
export const outcomes = pgTable(
  'outcomes',
  {
    id: id(),
    deskId: deskId(),
    questionId: uuid()
      .notNull()
      .references(() => caseQuestions.id),
    causeId: text().notNull(),
    confirmedBy: text().$type<'in-hand' | 'bench' | 'laboratory' | 'outcome'>().notNull(),
    note: text().notNull().default(''),
    byPerson: uuid()
      .notNull()
      .references(() => people.id),
    on: date().notNull(),
    recordedAt: instant().notNull(),
  },
  (t) => [uniqueIndex().on(t.questionId), index().on(t.deskId, t.on)],
);

/** What a desk has taken over from its outcomes, step by step; the newest stands, an empty one is a setting back. */
export const learnings = pgTable(
  'learnings',
  {
    id: id(),
    deskId: deskId(),
    asOf: date().notNull(),
    outcomes: jsonb().$type<Outcome[]>().notNull(),
    byPerson: uuid()
      .notNull()
      .references(() => people.id),
    takenAt: instant().notNull(),
  },
  (t) => [index().on(t.deskId, t.takenAt)],
);

/** What a desk keeps besides its cases. `one` records stand alone: their id is their kind. */
export const RECORD_KINDS = ['label', 'rule', 'jurisdiction', 'house-lines', 'losses', 'place', 'station-layout'] as const;
export type RecordKind = (typeof RECORD_KINDS)[number];

/** Records with their whole history: rows are only added, the newest of an id stands, a null body takes it away. */
export const deskRecords = pgTable(
  'desk_records',
  {
    id: id(),
    deskId: deskId(),
    kind: text().$type<RecordKind>().notNull(),
    recordId: text().notNull(),
    body: jsonb(),
    note: text().notNull().default(''),
    byPerson: uuid()
      .notNull()
      .references(() => people.id),
    /** Counts up for each desk. */
    revision: integer().notNull(),
    writtenAt: instant().notNull(),
  },
  (t) => [uniqueIndex().on(t.deskId, t.revision), index().on(t.deskId, t.kind, t.recordId)],
);

/** Letters that left through the outbox, kept as they were sent. */
export const mails = pgTable(
  'mails',
  {
    id: id(),
    deskId: deskId(),
    questionId: uuid().references(() => caseQuestions.id),
    to: text().notNull(),
    subject: text().notNull(),
    /** The whole message, RFC 5322. */
    message: text().notNull(),
    byPerson: uuid()
      .notNull()
      .references(() => people.id),
    sentAt: instant().notNull(),
  },
  (t) => [index().on(t.deskId, t.sentAt)],
);
