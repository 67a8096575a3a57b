import { Link } from 'react-router';
import { styled } from 'styled-components';

/** A small way out beside a panel's heading. */
export const AsideLink = styled(Link)`
  float: right;
  font:
    400 13px/1.6 'Source Sans 3',
    sans-serif;
  color: ${({ theme }) => theme.inkSoft};
`;
