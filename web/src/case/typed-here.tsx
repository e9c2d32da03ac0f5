import {
  createContext,
  useCallback,
  useContext,
  useEffect,
  useId,
  useMemo,
  useState,
  type ReactNode,
} from 'react';
import { t } from '../messages';
import { Button } from '../parts/button';
import { Row, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';

/*
 * What is typed in a field of its own and not recorded yet. Saving what stands beside it asks about it first, so that nothing
 * typed is left out unseen.
 */

type Put = (id: string, label: string | undefined) => void;
const PutContext = createContext<Put>(() => {});
const TypedContext = createContext<readonly string[]>([]);

/** Knows what is typed and not recorded in the fields within it. */
export function TypedHere({ children }: { children: ReactNode }) {
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const put = useCallback<Put>((id, label) => {
    setTyped((before) => {
      if (before[id] === label) return before;
      const { [id]: _gone, ...rest } = before;
      return label === undefined ? rest : { ...rest, [id]: label };
    });
  }, []);
  const labels = useMemo(() => Object.values(typed), [typed]);
  return (
    <PutContext value={put}>
      <TypedContext value={labels}>{children}</TypedContext>
    </PutContext>
  );
}

/** Says of a field that something is typed in it and not recorded yet. */
export function useTyped(label: string, isTyped: boolean): void {
  const put = useContext(PutContext);
  const id = useId();
  useEffect(() => {
    put(id, isTyped ? label : undefined);
    return () => put(id, undefined);
  }, [put, id, label, isTyped]);
}

/**
 * Asks before something is saved while other fields hold what is typed and not recorded.
 * @returns what it asks, to be shown beside the button, and what guards the saving
 */
export function useTypedGuard(): { asked: ReactNode; guard: (work: () => void) => void } {
  const typed = useContext(TypedContext);
  const [work, setWork] = useState<() => void>();
  const isAsking = work !== undefined && typed.length > 0;
  return {
    asked: isAsking && (
      <Notice tone="caution" live>
        <Stack $gap={8}>
          <span>{t('typedHere.ask', { what: typed.join('; ') })}</span>
          <Row>
            <Button
              onPress={() => {
                setWork(undefined);
                work();
              }}
            >
              {t('typedHere.without')}
            </Button>
            <Button look="quiet" onPress={() => setWork(undefined)}>
              {t('typedHere.back')}
            </Button>
          </Row>
        </Stack>
      </Notice>
    ),
    guard: (next) => (typed.length > 0 ? setWork(() => next) : next()),
  };
}
