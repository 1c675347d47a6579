import { useEffect, useRef, useState } from 'react';
import { useProject } from '../project/context';
import type { Engine } from '../project/engine.worker';
import type { Remote } from 'comlink';

/** An answer of the engine, asked again whenever the project or the question changes; the last answer stays meanwhile. */
export function useAsked<T>(question: string, ask: (engine: Remote<Engine>) => Promise<T>): T | undefined {
  const { store, computed } = useProject();
  const [answer, setAnswer] = useState<{ question: string; value: T }>();
  const asking = useRef(ask);
  asking.current = ask;
  useEffect(() => {
    let wanted = true;
    void asking.current(store.engine).then((value) => {
      if (wanted) setAnswer({ question, value });
    });
    return () => {
      wanted = false;
    };
  }, [store, computed, question]);
  return answer?.question === question ? answer.value : undefined;
}
