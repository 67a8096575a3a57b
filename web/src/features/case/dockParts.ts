import { styled } from 'styled-components';

export const Band = styled.section`
  background: ${({ theme }) => theme.deep};
  color: ${({ theme }) => theme.deepInk};
  padding: 12px 20px 14px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
`;
/** What comes before any question. */
export const Urgent = styled.p`
  margin: -12px -20px 0;
  padding: 10px 20px;
  background: ${({ theme }) => theme.chalk};
  color: ${({ theme }) => theme.paper};
  font-size: 18px;
  b {
    font-weight: 700;
  }
`;
export const Ask = styled.div`
  display: grid;
  gap: 7px;
  min-height: 96px;
  align-content: center;
`;
export const Question = styled.p`
  font:
    500 24px/1.2 'Alegreya',
    serif;
`;
export const Note = styled.span`
  font-size: 14px;
  color: ${({ theme }) => theme.deepSoft};
  a {
    color: inherit;
  }
`;
export const Answers = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  button {
    background: transparent;
    color: ${({ theme }) => theme.deepInk};
    border: 1px solid ${({ theme }) => theme.deepSoft};
    border-radius: 3px;
    padding: 3px 10px 3px 5px;
    font-size: 15px;
    line-height: 1.25;
    cursor: pointer;
    text-align: left;
  }
  button:hover {
    background: ${({ theme }) => theme.ink};
    color: ${({ theme }) => theme.sheet};
  }
`;
