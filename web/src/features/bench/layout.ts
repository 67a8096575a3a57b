import { styled } from 'styled-components';

/** Every part of the bench: what there is on the left, the one at work on the right. */
export const View = styled.div`
  display: grid;
  grid-template-columns: 250px minmax(0, 1fr);
  min-height: 100%;
  @media (max-width: 900px) {
    grid-template-columns: minmax(0, 1fr);
    align-content: start;
  }
`;
export const Side = styled.nav`
  padding: 16px 10px 30px 24px;
  border-right: 1px solid ${({ theme }) => theme.rule};
  h2 {
    font-size: 15px;
    font-family: inherit;
    color: ${({ theme }) => theme.inkSoft};
    font-weight: 400;
    margin: 12px 0 2px;
  }
  button,
  li > a {
    display: block;
    width: 100%;
    text-align: left;
    padding: 2px 10px;
    min-height: 27px;
    color: ${({ theme }) => theme.ink};
    text-decoration: none;
  }
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
  }
  /* on a tablet the list lies across, above the work */
  @media (max-width: 900px) {
    columns: 165px;
    padding-bottom: 12px;
    border-right: 0;
    border-bottom: 1px solid ${({ theme }) => theme.rule};
    h2 {
      break-after: avoid;
    }
  }
  button[aria-current='true'],
  li > a[aria-current='page'] {
    background: ${({ theme }) => theme.wash};
    font-weight: 600;
  }
`;
export const Work = styled.div`
  padding: 16px 28px 40px;
  max-width: 900px;
  h1 {
    font-size: 26px;
    margin-top: 18px;
  }
  > p {
    color: ${({ theme }) => theme.inkSoft};
  }
`;
export const Small = styled.p`
  font-size: 13.5px;
  color: ${({ theme }) => theme.inkSoft};
`;
