import { Avatar, Menu, SegmentedControl, Text, UnstyledButton, useMantineColorScheme } from '@mantine/core';
import { IconKey, IconLogout, IconMoon, IconSun } from '@tabler/icons-react';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import {
  Link,
  NavLink,
  Outlet,
  useLocation,
  NavigationType,
  useNavigate,
  useNavigationType,
} from 'react-router';
import { call } from '../api/client.ts';
import { OutboxNotice } from '../outbox/OutboxNotice.tsx';
import { useWords } from '../words/useWords.ts';
import { forgetQueries } from './keptQueries.ts';
import { PageHelpButton } from './help/PageHelpButton.tsx';
import { FindButton } from './palette/FindButton.tsx';
import { NewVersion } from './NewVersion.tsx';
import { ServerAway } from './ServerAway.tsx';
import { Sight } from '../controls/Sight.tsx';
import { useViewer } from '../api/viewer.ts';

const ROOMS = [
  { to: '/hall', name: 'Hall' },
  { to: '/drills', name: 'Drills' },
  { to: '/lesson', name: 'Lesson' },
  { to: '/players', name: 'Players' },
  { to: '/lab', name: 'Lab' },
] as const;

/** The rail along the top with a sight for every room, and the room below it. */
export function Shell() {
  useTopOfPage();
  const viewer = useViewer();
  return (
    <>
      <a href="#page" className="skip-link">
        Skip to the page
      </a>
      <header className="rail">
        <Link to="/" className="rail-mark" aria-label="Jolly Rail, today">
          <Sight size={30} fill="gold" />
          Jolly Rail
        </Link>
        <nav className="rail-rooms" aria-label="Rooms">
          {ROOMS.map((room) => (
            <NavLink key={room.to} to={room.to} className="rail-room">
              <Sight />
              {room.name}
            </NavLink>
          ))}
        </nav>
        <PageHelpButton />
        <FindButton />
        <ViewerMenu />
      </header>
      <main className="page" id="page" tabIndex={-1}>
        <NewVersion />
        <ServerAway />
        <OutboxNotice person={viewer} />
        <Outlet />
      </main>
    </>
  );
}

/**
 * A room that is entered by a link is seen from its top; going back leaves the place to the browser. The router's own
 * way would jump at each filter that is kept in the address, too.
 */
function useTopOfPage(): void {
  const { pathname } = useLocation();
  const way = useNavigationType();
  useEffect(() => {
    if (way !== NavigationType.Pop) window.scrollTo(0, 0);
  }, [pathname, way]);
}

function initials(name: string): string {
  return name
    .split(' ')
    .map((part) => part.charAt(0))
    .join('')
    .slice(0, 2);
}

function ViewerMenu() {
  const viewer = useViewer();
  const queries = useQueryClient();
  const navigate = useNavigate();
  const { vocabulary, setVocabulary } = useWords();
  const { colorScheme, setColorScheme } = useMantineColorScheme();
  const isDark = colorScheme === 'dark';

  async function signOut() {
    await call('POST', '/sign-out', {});
    await forgetQueries(queries);
    await navigate('/sign-in');
  }

  return (
    <Menu position="bottom-end" width={250} closeOnItemClick={false}>
      <Menu.Target>
        <UnstyledButton aria-label={`Menu of ${viewer.name}`}>
          <Avatar color="ink" variant="filled" radius="xl">
            {initials(viewer.name)}
          </Avatar>
        </UnstyledButton>
      </Menu.Target>
      <Menu.Dropdown>
        <Menu.Label>
          {viewer.name}, {viewer.club}
        </Menu.Label>
        <Text size="sm" px="sm" pt={4} id="words-label">
          Words of
        </Text>
        <SegmentedControl
          m="xs"
          aria-labelledby="words-label"
          value={vocabulary}
          onChange={(value) => setVocabulary(value === 'snooker' ? 'snooker' : 'pool')}
          data={[
            { value: 'pool', label: 'Pool' },
            { value: 'snooker', label: 'Snooker' },
          ]}
        />
        <Menu.Item
          leftSection={isDark ? <IconSun size={18} /> : <IconMoon size={18} />}
          onClick={() => setColorScheme(isDark ? 'light' : 'dark')}
        >
          {isDark ? 'Light paper' : 'Dark paper'}
        </Menu.Item>
        <Menu.Item component={Link} to="/account" leftSection={<IconKey size={18} />} closeMenuOnClick>
          Your sign-in
        </Menu.Item>
        <Menu.Item leftSection={<IconLogout size={18} />} onClick={() => void signOut()}>
          Sign out
        </Menu.Item>
      </Menu.Dropdown>
    </Menu>
  );
}
