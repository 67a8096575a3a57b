import type { KeyboardEvent } from 'react';
import { useNavigate } from 'react-router';
import { styled } from 'styled-components';
import { problemText } from '../../store/api.ts';
import { entered, NO_DRAFT, typed } from '../../store/drafts.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { Notice } from '../../ui/controls.tsx';
import { Band, Note } from './dockParts.ts';
import { Entry } from './Entry.tsx';

const View = styled.div`
  height: 100%;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: minmax(0, 1fr) auto;
`;
const Wait = styled.div`
  padding: 40px 24px;
`;

interface Props {
  caseId: string;
  /** What kept it from coming so far: it is asked for again. */
  trouble: unknown;
  /** Where its plan is, once that is known. */
  planHref?: string;
}

/** The key that opens the plan of a question. */
export const isPlanKey = ({ altKey, code }: KeyboardEvent): boolean => altKey && code === 'KeyP';

/** A case on its way to the table. The caller talks already: the line takes the words, and keeps them. */
export function Opening({ caseId, trouble, planHref }: Props) {
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const draft = useAppSelector(({ drafts }) => drafts[caseId] ?? NO_DRAFT);
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Enter') dispatch(entered(caseId));
    if (!planHref || !isPlanKey(event)) return;
    event.preventDefault();
    void navigate(planHref);
  };
  return (
    <View>
      <Wait>{trouble ? <Notice role="status">{problemText(trouble)} It is tried again.</Notice> : <Notice>Opening the case …</Notice>}</Wait>
      <Band aria-label="Words on the way">
        <Note>
          {draft.entered > 0
            ? 'What is entered is taken in as soon as the case is open.'
            : 'Type on: the words are kept, and read when the case is open.'}
        </Note>
        <Entry draft={draft.text} onDraft={(text) => dispatch(typed({ caseId, text }))} onKeyDown={onKeyDown} />
      </Band>
    </View>
  );
}
