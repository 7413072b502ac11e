'use client';
/** A button that asks for a file; the same file can be chosen again. */
import Button, { type ButtonProps } from '@mui/material/Button';
import { type ReactNode, useRef } from 'react';

interface Props {
  readonly label: string;
  readonly accept: string;
  readonly onFile: (file: File) => void;
  readonly variant?: NonNullable<ButtonProps['variant']>;
  readonly disabled?: boolean;
  readonly wide?: boolean;
  readonly children: ReactNode;
}

export function FileButton({
  label,
  accept,
  onFile,
  variant = 'outlined',
  disabled = false,
  wide = false,
  children,
}: Props) {
  const field = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={field}
        type="file"
        accept={accept}
        className="sr"
        aria-label={label}
        tabIndex={-1}
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) onFile(file);

          if (field.current) field.current.value = '';
        }}
      />
      <Button variant={variant} disabled={disabled} fullWidth={wide} onClick={() => field.current?.click()}>
        {children}
      </Button>
    </>
  );
}
