import Link from 'next/link';
import { useState } from 'react';
import { messageOf } from '@/formats/message-of';
import { fetchFormula, saveOver } from '@/kitchen/client/formulas';
import { addVersion } from '@/kitchen/client/versions';
import type { PutIn } from '@/kitchen/cook/rescue';
import { withPutIn } from '@/kitchen/cook/with-put-in';
import { Button } from '@/ui/button';

/** Writes what a rescue put in into the formula, for when it happens every time; the formula as it was stays as a version. */
export function FoldBack({ formulaId, putIn, wholeG }: { formulaId: string; putIn: readonly PutIn[]; wholeG: number }) {
  const [state, setState] = useState<'asked' | 'writing' | 'written' | { readonly fault: string }>('asked');
  const write = async () => {
    setState('writing');
    try {
      const { revision, file } = await fetchFormula(formulaId);
      await addVersion(formulaId, 'Before a rescue was written in', '', file);
      await saveOver(formulaId, revision, withPutIn(file, putIn, wholeG));
      setState('written');
    } catch (error) {
      setState({ fault: messageOf(error) });
    }
  };
  if (state === 'written') {
    return (
      <p className="mt-2">
        Written into the formula; as it was it stays as a version.{' '}
        <Link href={`/formulas/${formulaId}/balance`} className="text-enamel underline">
          Look at it on the bench
        </Link>
      </p>
    );
  }
  return (
    <div className="mt-2">
      <Button disabled={state === 'writing'} onClick={() => void write()}>
        It happens every time: write it into the formula
      </Button>
      {typeof state === 'object' && (
        <p role="alert" className="mt-1 text-off">
          {state.fault}
        </p>
      )}
    </div>
  );
}
