import { Tabs } from '@mantine/core';
import { useLocation, useNavigate } from 'react-router';
import { useWords } from '../words/useWords.ts';
import { capital } from '../words/vocabulary.ts';

const TABS = [
  { path: '/lab', name: 'Stroke' },
  { path: '/lab/position', name: 'Position' },
  { path: '/lab/order', name: 'Order' },
  { path: '/lab/kick', name: 'kick' },
  { path: '/lab/safety', name: 'Safety' },
  { path: '/lab/break', name: 'Break' },
  { path: '/lab/call', name: 'Call it' },
  { path: '/lab/photo', name: 'Photo' },
] as const;

/** The benches of the lab. */
export function LabTabs() {
  const { pathname } = useLocation();
  const navigate = useNavigate();
  const { term } = useWords();
  return (
    <Tabs
      value={pathname}
      onChange={(path) => path !== null && void navigate(path)}
      aria-label="Benches of the lab"
    >
      <Tabs.List>
        {TABS.map(({ path, name }) => (
          <Tabs.Tab key={path} value={path}>
            {name === 'kick' ? capital(term('kick')) : name}
          </Tabs.Tab>
        ))}
      </Tabs.List>
    </Tabs>
  );
}
