import { Button, Menu } from '@mantine/core';
import { IconDots } from '@tabler/icons-react';
import { Link } from 'react-router';
import type { ListedDrill } from '../../core/records/listedDrill.ts';
import { useViewer } from '../api/viewer.ts';
import { DiagramItems } from './DiagramItems.tsx';
import { FavouriteButton } from './FavouriteButton.tsx';
import { saveDrillsFile } from './drillFiles.ts';
import { useDrillChange } from './useDrillChange.ts';

/** What can be done with a drill besides playing it. */
export function DrillActions({ entry }: { readonly entry: ListedDrill }) {
  const { role } = useViewer();
  const { slug } = entry.document;
  const { setArchived } = useDrillChange(slug);
  return (
    <>
      <FavouriteButton entry={entry} />
      <Menu position="bottom-end">
        <Menu.Target>
          <Button variant="default" className="no-print" leftSection={<IconDots size={18} />}>
            More
          </Button>
        </Menu.Target>
        <Menu.Dropdown>
          {role === 'coach' && (
            <>
              {entry.own && (
                <Menu.Item component={Link} to={`/drills/${slug}/edit`}>
                  Edit
                </Menu.Item>
              )}
              <Menu.Item component={Link} to={`/drills/new?from=${slug}`}>
                Make one like it
              </Menu.Item>
            </>
          )}
          <Menu.Item onClick={() => saveDrillsFile([entry.document])}>Save as a drill file</Menu.Item>
          <DiagramItems title={slug} />
          {role === 'coach' && entry.own && (
            <Menu.Item onClick={() => void setArchived(!entry.archived)}>
              {entry.archived ? 'Bring back' : 'Put away'}
            </Menu.Item>
          )}
        </Menu.Dropdown>
      </Menu>
    </>
  );
}
