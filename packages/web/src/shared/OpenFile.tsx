import { Button, FileButton, type ButtonProps } from '@mantine/core';
import { IconUpload } from '@tabler/icons-react';
import { useRef, type ReactNode } from 'react';

interface Props extends ButtonProps {
  readonly accept: string;
  readonly onFile: (file: File) => Promise<void>;
  readonly children: ReactNode;
}

/** A button that opens a file. The same file may be opened again, once what was wrong in it is put right. */
export function OpenFile({ accept, onFile, children, ...button }: Props) {
  const reset = useRef<() => void>(null);
  return (
    <FileButton
      accept={accept}
      resetRef={reset}
      onChange={(file) => {
        reset.current?.();
        if (file) void onFile(file);
      }}
    >
      {(props) => (
        <Button variant="default" leftSection={<IconUpload size={17} />} {...button} {...props}>
          {children}
        </Button>
      )}
    </FileButton>
  );
}
