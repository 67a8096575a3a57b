import { useEffect, useEffectEvent, useMemo, useRef, useState } from 'react';
import type { QuestionView } from '@sounding/contract/api.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import type { Finding } from '@sounding/core/edition/findings.ts';
import type { Plant } from '@sounding/core/edition/plants.ts';
import { hear, useHeard } from '../../engine/engine.ts';
import type { Heard } from '../../engine/engine.worker.ts';
import { heldBack, NO_DRAFT, takenIn, typed } from '../../store/drafts.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { inSenses, type Senses } from './senses.ts';
import { anotherPlant } from './useOwnQuestion.ts';

interface Props {
  caseId: string;
  edition: Edition | undefined;
  question: QuestionView;
  plant: Plant | null;
  /** What is asked about just now; a few words may answer it. */
  finding: Finding | null;
  onHere: (said: string, heard: Heard) => void;
  onApart: (said: string, heard: Heard) => void;
}

/** The line that words are typed in: what is read from them as they come, and where they go when they are taken in. */
export function useLine({ caseId, edition, question, plant, finding, onHere, onApart }: Props) {
  const dispatch = useAppDispatch();
  const { text: draft, entered } = useAppSelector(({ drafts }) => drafts[caseId] ?? NO_DRAFT);
  const [senses, setSenses] = useState<Senses>({});
  /** The other plant the words are about, until it is said where they belong. */
  const [apart, setApart] = useState<Plant | null>(null);
  /** True while words are being read: a second press of the key is not a second statement. */
  const reading = useRef(false);
  const asked = finding?.id ?? null;
  const read = useHeard(edition, draft, asked, question.hostId);
  const heard = useMemo(() => (read ? inSenses(read, senses) : null), [read, senses]);

  const writeIn = (text: string) => {
    dispatch(typed({ caseId, text }));
    setApart(null);
  };
  /**
   * @param belongs where the words belong: unless it is said, words about another plant wait in the line
   * @param words those at the front of the line that are taken in
   */
  const takeIn = (belongs?: 'here' | 'apart', words = draft) => {
    if (!edition || reading.current) return;
    reading.current = true;
    const said = words.trim();
    void hear(edition, said, asked, question.hostId)
      .then((whole) => {
        const other = belongs ? null : anotherPlant(plant, whole);
        if (other) {
          dispatch(heldBack(caseId));
          return setApart(other);
        }
        if (belongs === 'apart') onApart(said, inSenses(whole, senses));
        else onHere(said, inSenses(whole, senses));
        setApart(null);
        setSenses({});
        return dispatch(takenIn({ caseId, words }));
      })
      .finally(() => (reading.current = false));
  };
  const takeInEntered = useEffectEvent(() => takeIn(undefined, draft.slice(0, entered)));
  useEffect(() => {
    if (edition && entered > 0) takeInEntered();
  }, [edition, entered]);
  const sense = (id: string, answer: string) => setSenses({ ...senses, [id]: answer });
  return { draft, heard, apart, writeIn, takeIn, sense };
}
