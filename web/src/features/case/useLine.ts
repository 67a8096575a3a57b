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
import { turnOf, type Turn } from './anotherPlant.ts';

interface Props {
  caseId: string;
  edition: Edition | undefined;
  question: QuestionView;
  plant: Plant | null;
  /** The plant that was noted when the call came in. */
  noted: Plant | null;
  /** What is asked about just now; a few words may answer it. */
  finding: Finding | null;
  onHere: (said: string, heard: Heard) => void;
  onApart: (said: string, heard: Heard) => void;
}

/** The line that words are typed in: what is read from them as they come, and where they go when they are taken in. */
export function useLine({ caseId, edition, question, plant, noted, finding, onHere, onApart }: Props) {
  const dispatch = useAppDispatch();
  const { text: draft, entered } = useAppSelector(({ drafts }) => drafts[caseId] ?? NO_DRAFT);
  const [senses, setSenses] = useState<Senses>({});
  /** Words about another plant, until it is said where they belong. */
  const [apart, setApart] = useState<Turn | null>(null);
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
    const listen = (part: string) => hear(edition, part.trim(), asked, question.hostId);
    const takeDown = async () => {
      const whole = await listen(said);
      const turn = belongs ? null : await turnOf(said, plant, noted, whole, listen);
      if (turn) {
        dispatch(heldBack(caseId));
        return setApart(turn);
      }
      const turned = belongs === 'apart' ? (apart?.from ?? 0) : said.length;
      const part = async (words: string) => inSenses(words === said ? whole : await listen(words), senses);
      const ofThis = said.slice(0, turned).replace(/[,;\s]+$/, '');
      const ofOther = said.slice(turned);
      // kept with the plant on the table, they are about no other
      if (ofThis) onHere(ofThis, { ...(await part(ofThis)), ...(belongs === 'here' && apart && { host: apart.here }) });
      if (ofOther) onApart(ofOther, await part(ofOther));
      setApart(null);
      setSenses({});
      return dispatch(takenIn({ caseId, words }));
    };
    void takeDown().finally(() => (reading.current = false));
  };
  const takeInEntered = useEffectEvent(() => takeIn(undefined, draft.slice(0, entered)));
  useEffect(() => {
    if (edition && entered > 0) takeInEntered();
  }, [edition, entered]);
  const sense = (id: string, answer: string) => setSenses({ ...senses, [id]: answer });
  return { draft, heard, apart, writeIn, takeIn, sense };
}
