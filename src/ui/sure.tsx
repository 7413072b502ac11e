'use client';
/** An amount that was asked about is said to be meant, and sent again. */
import Button from '@mui/material/Button';
import { useFormContext } from 'react-hook-form';
import { TROUBLE } from '@/words/screens/trouble';

/** In the payload of a command, where what was said to be right is what stands in the field. */
export const sureOf = (sure: string, amount: string) => (sure !== '' && sure === amount ? { sure: true as const } : {});

/** Stands in a form with the fields `amount` and `sure`. */
export function Sure() {
  const { formState, getValues, setValue } = useFormContext<{ amount: string; sure: string }>();
  if (formState.errors.amount?.type !== 'amount-unlikely') return null;
  return (
    <Button type="submit" variant="outlined" onClick={() => setValue('sure', getValues('amount'))}>
      {TROUBLE.sure}
    </Button>
  );
}
