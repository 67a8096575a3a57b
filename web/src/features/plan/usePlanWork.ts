import { useCallback, useMemo } from 'react';
import type { CaseView, QuestionView, SessionView } from '@sounding/contract/api.ts';
import type { ShedView } from '@sounding/contract/labels.ts';
import type { CircumstancesBody, PlanBody } from '@sounding/contract/plan.ts';
import type { Standing } from '@sounding/core/consult/consult.ts';
import type { Cause } from '@sounding/core/edition/causes.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import type { Plant } from '@sounding/core/edition/plants.ts';
import type { Overrule } from '@sounding/core/treatment/decide.ts';
import type { WeatherDay } from '@sounding/core/season/weather.ts';
import { useForecastQuery, useShedQuery } from '../../store/api.ts';
import { useCaseWork } from '../case/useCaseWork.ts';
import { useQuestionStanding } from '../case/useQuestionStanding.ts';

export const EMPTY_PLAN: PlanBody = {
  labelId: null,
  useId: null,
  equipment: null,
  target: null,
  system: 'metric',
  wanted: 1,
  harvestEvery: null,
  rotate: false,
  applications: [],
  sums: [],
};

export interface PlanWork {
  view: CaseView | undefined;
  question: QuestionView | undefined;
  edition: Edition | undefined;
  standing: Standing | null;
  cause: Cause | null;
  plant: Plant | null;
  date: string;
  shed: ShedView | undefined;
  forecast: WeatherDay[];
  latDegrees: number;
  plan: PlanBody;
  error: unknown;
  setCircumstances: (change: Partial<CircumstancesBody>) => void;
  setOverrule: (overrule: Overrule | null) => void;
  setPlan: (change: Partial<PlanBody>) => void;
}

const NO_FORECAST: WeatherDay[] = [];

/** Everything the plan of one question rests on, and what can be set on it; each change is one write of the outbox. */
export function usePlanWork(caseId: string, questionId: string, session: SessionView): PlanWork {
  const { view, error, write } = useCaseWork(caseId);
  const question = view?.questions.find((q) => q.id === questionId);
  const { edition, date, standing } = useQuestionStanding(question, session, null);
  const { data: shed, error: shedError } = useShedQuery();
  const stationId = question?.stationId ?? null;
  const { data: forecast } = useForecastQuery({ stationId: stationId ?? '', today: session.desk.today }, { skip: stationId === null });
  const leader = standing?.candidates[0]?.cause;
  const cause = useMemo(() => edition?.causes.find((c) => c.id === leader) ?? null, [edition, leader]);
  const plant = useMemo(() => edition?.plants.find((p) => p.id === question?.hostId) ?? null, [edition, question?.hostId]);
  const circumstances = question?.circumstances;
  const plan = question?.plan ?? EMPTY_PLAN;
  const setCircumstances = useCallback(
    (change: Partial<CircumstancesBody>) => {
      const next = Object.fromEntries(Object.entries({ ...circumstances, ...change }).filter(([, value]) => value !== null && value !== undefined));
      write({ kind: 'question', questionId, body: { circumstances: next } });
    },
    [write, questionId, circumstances],
  );
  const setOverrule = useCallback((overrule: Overrule | null) => write({ kind: 'question', questionId, body: { overrule } }), [write, questionId]);
  const setPlan = useCallback(
    (change: Partial<PlanBody>) => write({ kind: 'question', questionId, body: { plan: { ...plan, ...change } } }),
    [write, questionId, plan],
  );
  return {
    view,
    question,
    edition,
    standing,
    cause,
    plant,
    date,
    shed,
    forecast: forecast ?? NO_FORECAST,
    latDegrees: session.stations.find((s) => s.id === stationId)?.lat ?? (session.desk.hemisphere === 'S' ? -45 : 45),
    plan,
    error: error ?? shedError,
    setCircumstances,
    setOverrule,
    setPlan,
  };
}
