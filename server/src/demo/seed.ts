import { randomUUID } from 'node:crypto';
import { asc, eq } from 'drizzle-orm';
import { Consultant, ENGINE_VERSION } from '@sounding/core/consult/consult.ts';
import { CARE_ONLY } from '@sounding/core/edition/care.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import { evidenceIn } from '@sounding/core/language/evidenceIn.ts';
import { Understander, type Understanding } from '@sounding/core/language/understand.ts';
import { addDays } from '@sounding/core/season/calendar.ts';
import type { WeatherSeries } from '@sounding/core/season/weather.ts';
import { careAnswers, careDates } from '@sounding/core/consult/careAnswers.ts';
import { composeReply, type ReplyCare } from '@sounding/core/reply/reply.ts';
import type { Database } from '../db/connect.ts';
import {
  advice,
  callers,
  caseQuestions,
  cases,
  desks,
  differentialSnapshots,
  forecastDays,
  outcomes,
  gardens,
  people,
  plants,
  readings,
  statements,
  stations,
  weatherDays,
} from '../db/schema.ts';
import { COORDINATOR } from '@sounding/contract/api.ts';
import { keepEdition } from '../db/desk.ts';
import { writeRecords } from '../db/deskRecords.ts';
import { simulateForecast, simulateWeather } from '../standins/weather.ts';
import { FORECAST_DAYS, storeDays } from '../weather/fetch.ts';
import { DEMO_JURISDICTION, DEMO_LABELS, DEMO_RULES } from './shed.ts';
import { DEMO_CASES, DEMO_DAY, DEMO_DESK, DEMO_PEOPLE, DEMO_STATIONS, type DemoCase } from './lindwater.ts';

const FOLLOW_UP_DAYS = 14;
const WEATHER_FROM = '2020-01-01';

/** The record that the demo's stations begin with, and what was foretold on its first day; from there on the weather service is asked. */
async function seedWeather(db: Database, deskId: string, until: string): Promise<void> {
  for (const row of await db.select().from(stations).where(eq(stations.deskId, deskId))) {
    const source = DEMO_STATIONS.find((s) => s.name === row.name);
    if (!source) continue;
    const at = { deskId, stationId: row.id };
    await storeDays(db, at, simulateWeather(source.climate, WEATHER_FROM, until));
    await db.insert(forecastDays).values(simulateForecast(source.climate, until, FORECAST_DAYS).map((day) => ({ ...day, ...at, issuedOn: until })));
  }
}

const instantOf = (date: string, minute: number) => new Date(Date.parse(`${date}T00:00:00Z`) + minute * 60_000);

interface Setting {
  deskId: string;
  edition: Edition;
  understander: Understander;
  consultant: Consultant;
  stations: { id: string; name: string }[];
  weather: Map<string, WeatherSeries>;
  advisor: { id: string; name: string };
}

/** What the plant's card says to what was asked of care, with its days at the station. */
function careOf({ edition }: Setting, { care, host, onlyCare }: Understanding, date: string, weather: WeatherSeries | null): ReplyCare {
  const answers = careAnswers(edition, host, care);
  const context = { date, climate: DEMO_DESK.climate, hemisphere: DEMO_DESK.hemisphere, weather };
  const topics = answers.map(({ topic }) => topic);
  return { only: onlyCare, answers, dates: host ? careDates(edition, host, topics, context) : [] };
}

interface Answered {
  hostId: string | null;
  /** Nothing was wrong, so nobody rings back. */
  onlyCare: boolean;
}

/** Answers a past call with the real engine, so that what the casebook shows can be reproduced. */
async function answer(db: Database, setting: Setting, demo: DemoCase, questionId: string, date: string): Promise<Answered> {
  const { deskId, edition } = setting;
  const utterances = demo.said ?? [];
  const understanding = setting.understander.understand(utterances);
  const host = understanding.host?.id ?? null;
  const station = setting.stations[demo.station ?? 0];
  let position = 0;
  const readingIds: string[] = [];
  for (const [i, utterance] of utterances.entries()) {
    const statementId = randomUUID();
    const saidAt = instantOf(date, demo.minute + 1 + i);
    await db.insert(statements).values({
      id: statementId,
      deskId,
      questionId,
      said: typeof utterance === 'string' ? utterance : utterance.say,
      asked: typeof utterance === 'string' ? null : utterance.ask,
      saidAt,
    });
    // how a question of care was put tells nothing of what is wrong: nothing is
    for (const reading of understanding.onlyCare ? [] : evidenceIn(setting.understander.understand([utterance], understanding.host))) {
      const id = randomUUID();
      readingIds.push(id);
      await db.insert(readings).values({
        id,
        deskId,
        questionId,
        statementId,
        position: ++position,
        finding: reading.finding,
        answer: reading.answer,
        channel: reading.channel,
        fromWords: reading.from,
        takenAt: saidAt,
      });
    }
  }
  const taken = understanding.onlyCare ? [] : evidenceIn(understanding);
  const whole = station ? setting.weather.get(station.id) : undefined;
  const weather = whole ? { ...whole, days: whole.days.filter((day) => day.on <= date) } : null;
  const standing = setting.consultant.consult({
    host,
    date,
    climate: DEMO_DESK.climate,
    hemisphere: DEMO_DESK.hemisphere,
    setting: 'phone',
    readings: taken,
    unanswered: [],
    weather,
  });
  const leader = standing.candidates[0];
  if (!leader) return { hostId: host, onlyCare: false };
  const at = instantOf(date, demo.minute + 4);
  const care = careOf(setting, understanding, date, weather);
  if (!care.only)
    await db.insert(differentialSnapshots).values({
      id: randomUUID(),
      deskId,
      questionId,
      edition: edition.version,
      engine: ENGINE_VERSION,
      readings: readingIds,
      takenAt: at,
      standing: standing.candidates.map(({ cause, probability }) => ({ cause, probability })),
    });
  const body = composeReply({
    edition,
    caller: demo.caller,
    plant: understanding.host,
    standing,
    readings: taken,
    desk: DEMO_DESK.name,
    advisor: setting.advisor.name,
    today: date,
    care,
  });
  await db.insert(advice).values({
    id: randomUUID(),
    deskId,
    questionId,
    body,
    act: care.only ? 'culture' : standing.decision.act,
    causeId: care.only ? CARE_ONLY : leader.cause,
    probability: care.only ? 1 : leader.probability,
    edition: edition.version,
    byPerson: setting.advisor.id,
    updatedAt: at,
  });
  return { hostId: host, onlyCare: care.only };
}

async function seedCase(db: Database, setting: Setting, demo: DemoCase, number: number): Promise<void> {
  const { deskId, edition } = setting;
  const [callerId, gardenId, caseId, questionId] = [randomUUID(), randomUUID(), randomUUID(), randomUUID()];
  const date = addDays(DEMO_DAY, -demo.daysAgo);
  const stationId = setting.stations[demo.station ?? 0]?.id ?? null;
  await db.insert(callers).values({ id: callerId, deskId, name: demo.caller, phone: demo.phone, email: demo.email });
  await db.insert(gardens).values({ id: gardenId, deskId, callerId, place: demo.place, stationId });
  await db.insert(cases).values({
    id: caseId,
    deskId,
    number,
    status: demo.said ? 'answered' : 'waiting',
    channel: demo.channel,
    callerId,
    gardenId,
    opening: demo.opening,
    receivedAt: instantOf(date, demo.minute),
    takenBy: demo.said ? setting.advisor.id : null,
    followUpOn: demo.said ? addDays(date, FOLLOW_UP_DAYS) : null,
  });
  await db.insert(caseQuestions).values({
    id: questionId,
    deskId,
    caseId,
    position: 1,
    stationId,
    climate: DEMO_DESK.climate,
    hemisphere: DEMO_DESK.hemisphere,
    setting: demo.channel === 'table' ? 'table' : 'phone',
    edition: edition.version,
    openedOn: date,
  });
  if (!demo.said) return;
  const { hostId, onlyCare } = await answer(db, setting, demo, questionId, date);
  if (onlyCare) await db.update(cases).set({ followUpOn: null }).where(eq(cases.id, caseId));
  await db.update(caseQuestions).set({ hostId }).where(eq(caseQuestions.id, questionId));
  if (demo.confirmed) {
    const { cause: causeId, by: confirmedBy } = demo.confirmed;
    const on = addDays(date, 1);
    const who = { deskId, questionId, byPerson: setting.advisor.id };
    await db.insert(outcomes).values({ id: randomUUID(), ...who, causeId, confirmedBy, on, recordedAt: instantOf(on, demo.minute) });
  }
  if (hostId) await db.insert(plants).values({ id: randomUUID(), deskId, gardenId, hostId, firstNamedOn: date });
}

/** Loads Lindwater once; a database that has a desk already is left as it is. */
export async function seedDemo(db: Database, edition: Edition): Promise<void> {
  const [known] = await db.select({ id: desks.id }).from(desks).limit(1);
  if (known) {
    await keepEdition(db, known.id, edition);
    return;
  }
  const deskId = randomUUID();
  await db.transaction(async (tx) => {
    const inside = tx as unknown as Database;
    await tx.insert(desks).values({ id: deskId, ...DEMO_DESK, demo: true, today: DEMO_DAY, nextCaseNumber: DEMO_CASES.length + 1 });
    await keepEdition(tx, deskId, edition);
    const staff = DEMO_PEOPLE.map((person) => ({ id: randomUUID(), deskId, ...person }));
    await tx.insert(people).values(staff);
    await tx.insert(stations).values(
      DEMO_STATIONS.map(({ name, lat, lon, climate }) => ({
        id: randomUUID(),
        deskId,
        name,
        lat,
        lon,
        altitudeM: climate.altitudeM,
        fetched: true,
      })),
    );
    await seedWeather(inside, deskId, DEMO_DAY);
    const places = await tx
      .select({ id: stations.id, name: stations.name, lat: stations.lat })
      .from(stations)
      .where(eq(stations.deskId, deskId))
      .orderBy(asc(stations.altitudeM));
    const weather = new Map<string, WeatherSeries>();
    for (const place of places)
      weather.set(place.id, {
        station: place.name,
        latDegrees: place.lat,
        days: await tx.select().from(weatherDays).where(eq(weatherDays.stationId, place.id)).orderBy(asc(weatherDays.on)),
      });
    const advisor = staff[0];
    if (!advisor) throw new Error('the demo has nobody to answer calls');
    const setting: Setting = {
      deskId,
      edition,
      understander: new Understander(edition),
      consultant: new Consultant(edition),
      stations: places,
      weather,
      advisor,
    };
    const coordinator = staff.find(({ role }) => role === COORDINATOR) ?? advisor;
    await writeRecords(
      inside,
      { deskId, personId: coordinator.id },
      [
        { kind: 'jurisdiction', recordId: 'jurisdiction', body: { name: DEMO_JURISDICTION }, note: '' },
        ...DEMO_LABELS.map((label) => ({ kind: 'label' as const, recordId: label.id, body: label, note: 'from the label' })),
        ...DEMO_RULES.map((rule) => ({ kind: 'rule' as const, recordId: rule.id, body: rule, note: '' })),
      ],
      instantOf(addDays(DEMO_DAY, -60), 540),
    );
    const inOrder = [...DEMO_CASES].sort((a, b) => b.daysAgo - a.daysAgo || a.minute - b.minute);
    for (const [i, demo] of inOrder.entries()) await seedCase(inside, setting, demo, i + 1);
  });
}
