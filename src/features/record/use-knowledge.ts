import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { KnowledgeAnswer } from '@/formats/kitchen-test';
import { fetchKnowledge } from '@/kitchen/client/knowledge';
import { usePours } from '@/ui/pours/pours-provider';

/**
 * What the kitchen's tests have taught, asked anew whenever the tests of a batch are kept.
 *
 * @param batchId whose tests are shown among the others
 * @param kept what tells these tests from others; nothing while they are on their way
 */
export function useKnowledge(batchId: string, kept: string | undefined) {
  const [data, setData] = useState<KnowledgeAnswer | undefined>();
  const router = useRouter();
  const { knowledge } = usePours();
  // What other pages reckon with was read when this one was entered.
  const isNews = data !== undefined && JSON.stringify(data.knowledge.offsets) !== JSON.stringify(knowledge.offsets);
  useEffect(() => {
    if (isNews) router.refresh();
  }, [isNews, router]);
  useEffect(() => {
    if (kept === undefined) return;
    let isHere = true;
    fetchKnowledge(batchId).then(
      (answer) => isHere && setData(answer),
      // Not reachable: what was known stays.
      () => undefined,
    );
    return () => {
      isHere = false;
    };
  }, [batchId, kept]);
  return { data };
}
