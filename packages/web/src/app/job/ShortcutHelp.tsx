import { Modal, Table } from '@mantine/core';

const KEYS: readonly (readonly [string, string])[] = [
  ['Enter', 'takes the figure and moves to the next one'],
  ['Tab, Shift+Tab', 'next and previous field'],
  ['a 92, d 32, 36, 80 …', 'in the walk line: the corner, a door and more of the last wall'],
  ['Ctrl+Z, Ctrl+Shift+Z', 'undo and redo on the walk sheet'],
  ['Alt+1 … Alt+5', 'Walk, Joints, Stock, Saw, Hang'],
  ['← →', 'previous and next cut at the saw'],
  ['Ctrl+K', 'finds a room, a piece, a job, a calculator, a screen by its name'],
  ['?', 'this list'],
];

export function ShortcutHelp({ opened, onClose }: { opened: boolean; onClose: () => void }) {
  return (
    <Modal
      opened={opened}
      onClose={onClose}
      title="Keys"
      closeButtonProps={{ 'aria-label': 'Close the list of keys' }}
    >
      <Table>
        <Table.Tbody>
          {KEYS.map(([key, what]) => (
            <Table.Tr key={key}>
              <Table.Td>
                <kbd>{key}</kbd>
              </Table.Td>
              <Table.Td>{what}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </Modal>
  );
}
