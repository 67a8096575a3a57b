import { useState } from 'react';
import { Link, NavLink, Outlet } from 'react-router';
import { styled } from 'styled-components';
import { Button, Notice } from '../ui/controls.tsx';
import { problemText, useSessionQuery } from '../store/api.ts';
import { DemoDay } from './DemoDay.tsx';
import { SaveState } from './SaveState.tsx';
import { Seat } from './Seat.tsx';
import { useScheme } from './scheme.tsx';

const Page = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: auto 1fr;
  height: 100%;
  @media print {
    display: block;
    height: auto;
  }
`;
const Bar = styled.header`
  display: flex;
  align-items: center;
  gap: 22px;
  padding: 0 20px;
  min-height: 46px;
  border-bottom: 1px solid ${({ theme }) => theme.rule};
  @media (max-width: 1080px) {
    flex-wrap: wrap;
    gap: 0 14px;
  }
  @media print {
    display: none;
  }
`;
const Mark = styled(Link)`
  font:
    600 23px/1 'Alegreya',
    serif;
  text-decoration: none;
  letter-spacing: 0.01em;
`;
const Nav = styled.nav`
  display: flex;
  gap: 4px;
  a {
    padding: 12px 10px 10px;
    text-decoration: none;
    border-bottom: 3px solid transparent;
    color: ${({ theme }) => theme.inkSoft};
  }
  a.active {
    color: ${({ theme }) => theme.ink};
    border-bottom-color: ${({ theme }) => theme.ink};
    font-weight: 600;
  }
`;
const Right = styled.div`
  margin-left: auto;
  display: flex;
  align-items: center;
  gap: 14px;
  font-size: 14px;
  color: ${({ theme }) => theme.inkSoft};
`;
const Main = styled.main`
  min-height: 0;
  overflow: auto;
  @media print {
    overflow: visible;
  }
`;
/** A word or two in place of a view. */
export const Centred = styled.div`
  padding: 60px 24px;
  text-align: center;
`;

/** The frame round every view: where to go, which day it is, and whether everything is saved. */
export function Shell() {
  const { data: session, error, refetch } = useSessionQuery();
  const [scheme, toggleScheme] = useScheme();
  const [asked, setAsked] = useState(false);
  return (
    <Page>
      <Bar>
        <Mark to="/">Sounding</Mark>
        <Nav aria-label="Views">
          <NavLink to="/" end>
            Desk
          </NavLink>
          <NavLink to="/bench">Bench</NavLink>
          <NavLink to="/season">Season</NavLink>
          <NavLink to="/casebook">Casebook</NavLink>
          <NavLink to="/library">Library</NavLink>
          <NavLink to="/office">Office</NavLink>
        </Nav>
        <Right>
          <SaveState />
          {session?.desk.demo && <DemoDay today={session.desk.today} />}
          {session && <Seat session={session} />}
          <Button weight="quiet" onPress={toggleScheme} aria-label={scheme === 'night' ? 'Switch to day colours' : 'Switch to night colours'}>
            {scheme === 'night' ? 'Day' : 'Night'}
          </Button>
        </Right>
      </Bar>
      <Main>
        {session ? (
          <Outlet context={session} />
        ) : (
          <Centred>
            {error ? (
              <>
                <Notice $tone="danger" role="alert">
                  {problemText(error)}
                </Notice>
                <Button
                  onPress={() => {
                    setAsked(true);
                    void refetch();
                  }}
                >
                  {asked ? 'Try once more' : 'Try again'}
                </Button>
              </>
            ) : (
              <Notice>Opening the desk …</Notice>
            )}
          </Centred>
        )}
      </Main>
    </Page>
  );
}
