import { styled } from 'styled-components';

/** A plain table of records: soft heads, hairlines between rows, the words on one baseline. */
export const Ledger = styled.table`
  border-collapse: collapse;
  width: 100%;
  margin: 8px 0 12px;
  th {
    text-align: left;
    font-weight: 400;
    font-size: 13px;
    color: ${({ theme }) => theme.inkSoft};
  }
  th,
  td {
    padding: 5px 14px 5px 0;
    border-bottom: 1px solid ${({ theme }) => theme.rule};
    vertical-align: baseline;
    line-height: 1.3;
  }
`;
