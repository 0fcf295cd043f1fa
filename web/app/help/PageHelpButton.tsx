import { ActionIcon, Modal, Table, Text, Title } from '@mantine/core';
import { useHotkeys } from '@mantine/hooks';
import { IconHelp } from '@tabler/icons-react';
import { useState } from 'react';
import { useLocation } from 'react-router';
import { KeyCap } from '../../controls/KeyCap.tsx';
import { helpFor, KEYS_EVERYWHERE } from './pageHelp.ts';

/** Says what the page is for and which keys it has: by the button, or ? from anywhere outside a field. */
export function PageHelpButton() {
  const { pathname } = useLocation();
  // Whoever goes to another page has read it.
  const [openAt, setOpenAt] = useState<string>();
  const open = () => setOpenAt(pathname);
  const close = () => setOpenAt(undefined);
  useHotkeys([
    ['shift+?', open, { usePhysicalKeys: false }],
    ['?', open],
  ]);
  const help = helpFor(pathname);
  return (
    <>
      <ActionIcon
        variant="subtle"
        color="ink"
        size={40}
        radius="xl"
        aria-label="Help with this page (?)"
        aria-keyshortcuts="?"
        onClick={open}
      >
        <IconHelp size={22} />
      </ActionIcon>
      <Modal
        opened={openAt === pathname}
        onClose={close}
        title={help?.title ?? 'Help'}
        closeButtonProps={{ 'aria-label': 'Close' }}
      >
        {(help?.words ?? []).map((sentence) => (
          <Text key={sentence} mb={6}>
            {sentence}
          </Text>
        ))}
        <Title order={3} size="h5" mt="sm" mb={4}>
          Keys
        </Title>
        <Table>
          <Table.Tbody>
            {[...(help?.keys ?? []), ...KEYS_EVERYWHERE].map(([key, does]) => (
              <Table.Tr key={key}>
                <Table.Td w={90}>
                  <KeyCap>{key}</KeyCap>
                </Table.Td>
                <Table.Td>{does}</Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      </Modal>
    </>
  );
}
