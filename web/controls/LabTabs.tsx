import { Tabs } from '@mantine/core';
import { useLocation, useNavigate } from 'react-router';

const TABS = [
  { path: '/lab', name: 'Stroke' },
  { path: '/lab/position', name: 'Position' },
  { path: '/lab/order', name: 'Order' },
  { path: '/lab/call', name: 'Call it' },
] as const;

/** The benches of the lab. */
export function LabTabs() {
  const { pathname } = useLocation();
  const navigate = useNavigate();
  return (
    <Tabs
      value={pathname}
      onChange={(path) => path !== null && void navigate(path)}
      aria-label="Benches of the lab"
    >
      <Tabs.List>
        {TABS.map(({ path, name }) => (
          <Tabs.Tab key={path} value={path}>
            {name}
          </Tabs.Tab>
        ))}
      </Tabs.List>
    </Tabs>
  );
}
