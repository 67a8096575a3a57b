import { useMemo } from 'react';
import type { CaseView, QuestionView } from '@sounding/contract/api.ts';
import type { Standing } from '@sounding/core/consult/consult.ts';
import { withTheCause } from '@sounding/core/consult/causeAnswers.ts';
import type { ReplyCare } from '@sounding/core/reply/reply.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import { WORDING } from '@sounding/core/edition/findings.ts';
import { WHOLE_CARD } from '@sounding/core/language/careQuestions.ts';
import { useCareDates, useHeard } from '../../engine/engine.ts';
import { useWeatherQuery } from '../../store/api.ts';

export interface CaseCare extends ReplyCare {
  /** True where it is not known what was asked: the whole card may answer, on the desk and not in a letter. */
  wholeCard: boolean;
}

const NONE: CaseCare = { only: false, answers: [], dates: [], wholeCard: false };

/** What a question of a case asks of care, with the answers of the plant's card and their days; `only` while nothing wrong has been told or seen. */
export function useCaseCare(
  view: CaseView | undefined,
  question: QuestionView | undefined,
  edition: Edition | undefined,
  standing: Standing | null,
  date: string,
): CaseCare {
  const said = [
    question?.position === 1 ? (view?.opening ?? '') : '',
    ...(question?.statements ?? []).filter((s) => s.by === 'caller').map((s) => s.said),
  ].join('. ');
  const heard = useHeard(edition, said, null, question?.hostId ?? null);
  const stationId = question?.stationId ?? null;
  const { data: series } = useWeatherQuery({ stationId: stationId ?? '', until: date }, { skip: stationId === null });
  const topics = useMemo(() => [...new Set((heard?.careAnswers ?? []).map(({ topic }) => topic))], [heard]);
  const context = question ? { date, climate: question.climate, hemisphere: question.hemisphere } : null;
  const dates = useCareDates(edition, series, question?.hostId ?? null, topics, context);
  const plant = edition?.plants.find(({ id }) => id === question?.hostId) ?? null;
  const seen = (question?.readings ?? []).some((r) => r.withdrawnAt === null && r.finding !== WORDING);
  return useMemo(() => {
    if (!heard || heard.care.length === 0) return NONE;
    // once something wrong is seen, what was only spoken of was no question
    if (seen && heard.care.every(({ guessed }) => guessed)) return NONE;
    if (heard.care.some(({ topic }) => topic === WHOLE_CARD)) return { ...NONE, wholeCard: true };
    const answers = edition ? withTheCause(heard.careAnswers, heard.care, edition, standing, plant) : heard.careAnswers;
    if (answers.length === 0) return NONE;
    return { only: heard.onlyCare && !seen, answers, dates: dates ?? [], wholeCard: false };
  }, [heard, dates, seen, edition, standing, plant]);
}
