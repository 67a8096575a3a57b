import { styled } from 'styled-components';

/** A plain list with what can be done to each row at its end. */
export const Rows = styled.ul`
  list-style: none;
  margin: 0 0 6px;
  padding: 0;
  li {
    display: flex;
    gap: 12px;
    align-items: center;
    border-bottom: 1px solid ${({ theme }) => theme.rule};
    > span {
      flex: 1;
    }
  }
`;
