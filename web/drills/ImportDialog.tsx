import { Alert, Anchor, Button, FileButton, List, Modal, Stack, Text } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { drillsQuery } from '../api/drills.ts';
import { importDrills, type Imported } from './drillFiles.ts';

interface ImportDialogProps {
  readonly opened: boolean;
  readonly onClose: () => void;
}

/** Takes drills from a file, and says of each what became of it. */
export function ImportDialog({ opened, onClose }: ImportDialogProps) {
  const queries = useQueryClient();
  const [results, setResults] = useState<readonly Imported[]>();
  const [error, setError] = useState<string>();
  async function take(file: File | null) {
    if (file === null) return;
    setError(undefined);
    setResults(undefined);
    try {
      setResults(await importDrills(await file.text()));
    } catch (cause) {
      setError(cause instanceof Error ? cause.message : 'the file could not be read');
    }
    await queries.invalidateQueries({ queryKey: drillsQuery.queryKey });
  }
  return (
    <Modal
      opened={opened}
      onClose={onClose}
      title="Drills from a file"
      closeButtonProps={{ 'aria-label': 'Close' }}
    >
      <Stack>
        <Text size="sm">
          A drill file, or a set of drills. What is here already is recognised; a drill that has changed
          becomes a new revision.
        </Text>
        <FileButton onChange={(file) => void take(file)} accept="application/json,.json">
          {(props) => <Button {...props}>Choose a file</Button>}
        </FileButton>
        {error !== undefined && (
          <Alert color="coral" variant="outline" title="Nothing was taken in">
            {error}
          </Alert>
        )}
        {results !== undefined && (
          <List size="sm" aria-label="What became of the drills" spacing={4}>
            {results.map(({ title, slug, ok, words }, i) => (
              <List.Item key={i}>
                {slug === undefined ? (
                  <b>{title}</b>
                ) : (
                  <Anchor component={Link} to={`/drills/${slug}`} underline="always">
                    {title}
                  </Anchor>
                )}{' '}
                {ok ? words : `was refused. ${words}`}
              </List.Item>
            ))}
          </List>
        )}
      </Stack>
    </Modal>
  );
}
