import { Link } from 'react-router';
import { styled } from 'styled-components';
import type { RateWord } from '@sounding/core/edition/causes.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import type { Mark } from '@sounding/core/edition/provenance.ts';
import { editionIn } from '@sounding/core/edition/editionIn.ts';
import { useDesk } from '../../app/routes.tsx';
import { problemText, useEditionQuery } from '../../store/api.ts';
import { Notice } from '../../ui/controls.tsx';

export const Sheet = styled.article`
  max-width: 1180px;
  margin: 0 auto;
  padding: 20px 24px 48px;
  h1 {
    font-size: 32px;
  }
  h2 {
    font-size: 21px;
    margin: 26px 0 6px;
    padding-bottom: 3px;
    border-bottom: 1.5px solid ${({ theme }) => theme.ink};
  }
`;
export const Aside = styled.p`
  color: ${({ theme }) => theme.inkSoft};
`;
export const Latin = styled.span`
  font:
    italic 400 19px/1.3 'Alegreya',
    serif;
  color: ${({ theme }) => theme.inkSoft};
`;
export const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1.15fr) minmax(0, 1fr);
  gap: 0 44px;
  @media (max-width: 900px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;
export const Lines = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  li {
    padding: 6px 0;
    border-bottom: 1px solid ${({ theme }) => theme.rule};
  }
  small {
    font-size: 13px;
    color: ${({ theme }) => theme.inkSoft};
  }
`;
export const Crumb = styled(Link)`
  font-size: 14px;
  color: ${({ theme }) => theme.inkSoft};
  margin-right: 16px;
`;

export const MARK_WORDS: Record<Mark, string> = { published: 'published', 'common-practice': 'common practice', memory: 'from memory' };
export const RATE_WORDS: Record<RateWord, string> = {
  always: 'always',
  usually: 'usually',
  often: 'often',
  sometimes: 'sometimes',
  seldom: 'seldom',
  never: 'never',
};

/** The desk's edition, or what there is to say while it is not here. */
export function useLibrary(): { edition: Edition | null; waiting: React.ReactNode } {
  const session = useDesk();
  const { data, error } = useEditionQuery(session.edition);
  return {
    edition: data ? editionIn(data, session.desk.hemisphere) : null,
    waiting: error ? (
      <Notice $tone="danger" role="alert">
        {problemText(error)}
      </Notice>
    ) : (
      <Notice>Opening the library …</Notice>
    ),
  };
}

export function NotThere({ what }: { what: string }) {
  return (
    <Sheet>
      <Notice $tone="danger" role="alert">
        This edition has no {what} of that name.
      </Notice>
      <Crumb to="/library">Back to the library</Crumb>
    </Sheet>
  );
}
