import { useMemo } from 'react';
import { UNKNOWN_ANSWER, type QuestionView, type ReadingView, type SessionView } from '@sounding/contract/api.ts';
import type { ConsultInput, Standing } from '@sounding/core/consult/consult.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import { editionIn } from '@sounding/core/edition/editionIn.ts';
import { useStanding } from '../../engine/engine.ts';
import { useEditionQuery, useWeatherQuery } from '../../store/api.ts';

export interface QuestionStanding {
  edition: Edition | undefined;
  /** Why the edition could not be had so far. */
  trouble: unknown;
  date: string;
  /** Readings that count, in the order they were taken. */
  taken: ReadingView[];
  /** Those that `standing` rests on: the same, but for the moment until the engine has answered. */
  weighed: ReadingView[];
  /** After everything taken. */
  standing: Standing | null;
  /** At the mark stepped back to; the same as `standing` at the bottom. */
  shown: Standing | null;
}

/** How many questions have been asked in vain since something was last told. */
export function inVainSince(readings: readonly ReadingView[]): number {
  const held = readings.filter((r) => r.withdrawnAt === null).sort((a, b) => a.takenAt.localeCompare(b.takenAt));
  return held.length - 1 - held.findLastIndex((r) => r.answer !== UNKNOWN_ANSWER);
}

/**
 * The engine's view of one question. An answered one is reckoned with the day and edition of its answer, so that it
 * comes out the same again; an open one with today's.
 */
export function useQuestionStanding(question: QuestionView | undefined, session: SessionView, mark: number | null): QuestionStanding {
  const answered = question?.advice ?? null;
  const date = answered && question ? question.openedOn : session.desk.today;
  const { data, error: trouble } = useEditionQuery(answered?.edition ?? session.edition);
  const edition = data && editionIn(data, question?.hemisphere ?? session.desk.hemisphere);
  const stationId = question?.stationId ?? null;
  const { data: weather, error: weatherError } = useWeatherQuery({ stationId: stationId ?? '', until: date }, { skip: stationId === null });
  const taken = useMemo(() => (question?.readings ?? []).filter((r) => r.withdrawnAt === null && r.answer !== UNKNOWN_ANSWER), [question?.readings]);
  const input = useMemo((): ConsultInput | null => {
    if (!question || !edition || (stationId !== null && !weather && !weatherError)) return null;
    return {
      host: question.hostId,
      date,
      climate: question.climate,
      hemisphere: question.hemisphere,
      setting: question.setting,
      readings: taken.map(({ finding, answer, channel }) => ({ finding, answer, channel })),
      inVain: inVainSince(question.readings),
      unanswered: question.readings.filter((r) => r.withdrawnAt === null && r.answer === UNKNOWN_ANSWER).map((r) => r.finding),
      weather: weather ?? null,
      circumstances: question.circumstances,
      overrule: question.overrule,
    };
  }, [question, edition, stationId, weather, weatherError, date, taken]);
  const standing = useStanding(edition, input);
  const back = mark !== null && mark < taken.length;
  // a new standing is what makes them new, not the reading that is on its way to it
  // eslint-disable-next-line react-hooks/exhaustive-deps
  const weighed = useMemo(() => taken, [standing]);
  const earlier = useStanding(edition, back && input ? { ...input, readings: input.readings.slice(0, mark) } : null);
  return { edition, trouble, date, taken, weighed, standing, shown: back ? (earlier ?? standing) : standing };
}
