import {
  Avatar,
  NavLink as MenuLine,
  Popover,
  SegmentedControl,
  Text,
  UnstyledButton,
  useMantineColorScheme,
} from '@mantine/core';
import { IconKey, IconLogout, IconMoon, IconSun } from '@tabler/icons-react';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useId, useState } from 'react';
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
import { usePadSide } from '../controls/usePadSide.ts';
import { Sight } from '../controls/Sight.tsx';
import { useViewer } from '../api/viewer.ts';
import { useUnits } from '../words/useUnits.ts';

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
  const { units } = useUnits();
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
        {/* All that is told in a unit is told anew in another one. */}
        <Outlet key={units} />
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
  const { units, chooseUnits } = useUnits();
  const { side, setSide } = usePadSide();
  const { colorScheme, setColorScheme } = useMantineColorScheme();
  const isDark = colorScheme === 'dark';
  const [opened, setOpened] = useState(false);

  async function signOut() {
    await call('POST', '/sign-out', {});
    await forgetQueries(queries);
    await navigate('/sign-in');
  }

  return (
    <Popover
      position="bottom-end"
      width={250}
      trapFocus
      returnFocus
      withinPortal={false}
      opened={opened}
      onChange={setOpened}
    >
      <Popover.Target>
        <UnstyledButton aria-label={`Menu of ${viewer.name}`} onClick={() => setOpened((before) => !before)}>
          <Avatar color="ink" variant="filled" radius="xl">
            {initials(viewer.name)}
          </Avatar>
        </UnstyledButton>
      </Popover.Target>
      <Popover.Dropdown p={6} aria-label={`Menu of ${viewer.name}`}>
        <Text size="xs" c="dimmed" px="sm" pt={4}>
          {viewer.name}, {viewer.club}
        </Text>
        <Choice
          label="Words of"
          value={vocabulary}
          onChange={(value) => setVocabulary(value === 'snooker' ? 'snooker' : 'pool')}
          data={[
            { value: 'pool', label: 'Pool' },
            { value: 'snooker', label: 'Snooker' },
          ]}
        />
        <Choice
          label="Lengths and paces"
          value={units}
          onChange={(value) => chooseUnits(value === 'imperial' ? 'imperial' : 'metric')}
          data={[
            { value: 'metric', label: 'Metric' },
            { value: 'imperial', label: 'Imperial' },
          ]}
        />
        <Choice
          label="Buttons at the table"
          value={side}
          onChange={(value) => setSide(value === 'left' ? 'left' : 'right')}
          data={[
            { value: 'left', label: 'On the left' },
            { value: 'right', label: 'On the right' },
          ]}
        />
        <MenuLine
          component="button"
          type="button"
          leftSection={isDark ? <IconSun size={18} /> : <IconMoon size={18} />}
          onClick={() => setColorScheme(isDark ? 'light' : 'dark')}
          label={isDark ? 'Light paper' : 'Dark paper'}
        />
        <MenuLine
          component={Link}
          to="/account"
          leftSection={<IconKey size={18} />}
          label="Your sign-in"
          onClick={() => setOpened(false)}
        />
        <MenuLine
          component="button"
          type="button"
          leftSection={<IconLogout size={18} />}
          label="Sign out"
          onClick={() => void signOut()}
        />
      </Popover.Dropdown>
    </Popover>
  );
}

interface ChoiceProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly data: { readonly value: string; readonly label: string }[];
}

/** A habit of whoever uses this device, one of two. */
function Choice({ label, ...control }: ChoiceProps) {
  const id = useId();
  return (
    <>
      <Text size="sm" px="sm" pt={4} id={id}>
        {label}
      </Text>
      <SegmentedControl m="xs" aria-labelledby={id} {...control} />
    </>
  );
}
