'use client';
/** A button that asks for a file; the same file can be chosen again. */
import Button, { type ButtonProps } from '@mui/material/Button';
import { type ReactNode, useRef } from 'react';

interface Props {
  readonly label: string;
  readonly accept: string;
  readonly onFile?: (file: File) => void;
  /** Of one button or the other: where several may be chosen, all of them. */
  readonly onFiles?: (files: readonly File[]) => void;
  readonly several?: boolean;
  /** The device's own camera, where it has one. */
  readonly camera?: boolean;
  readonly variant?: NonNullable<ButtonProps['variant']>;
  readonly disabled?: boolean;
  readonly wide?: boolean;
  readonly children: ReactNode;
}

export function FileButton({
  label,
  accept,
  onFile,
  onFiles,
  several = false,
  camera = false,
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
        multiple={several}
        {...(camera ? { capture: 'environment' as const } : {})}
        className="sr"
        aria-label={label}
        tabIndex={-1}
        onChange={(event) => {
          const files = [...(event.target.files ?? [])];
          if (files[0]) onFile?.(files[0]);
          if (files.length > 0) onFiles?.(files);

          if (field.current) field.current.value = '';
        }}
      />
      <Button variant={variant} disabled={disabled} fullWidth={wide} onClick={() => field.current?.click()}>
        {children}
      </Button>
    </>
  );
}
