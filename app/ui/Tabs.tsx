import { useRef, type KeyboardEvent, type ReactNode } from 'react';
import { Pressable, type View as NativeView } from 'react-native';
import { Column, Line } from './layout';
import { Label } from './Text';
import { useColours } from './theme';

export type TabOf<T extends string> = {
  readonly id: T;
  readonly words: string;
  /** What it is called where there is room; holds the words. */
  readonly label?: string;
  /** A number or mark behind the words: what waits there. */
  readonly mark?: ReactNode;
};

type TabsProps<T extends string> = {
  readonly label: string;
  readonly tabs: readonly TabOf<T>[];
  readonly chosen: T;
  readonly onChoose: (tab: T) => void;
};

const STEPS: Readonly<Record<string, (at: number, count: number) => number>> = {
  ArrowRight: (at, count) => (at + 1) % count,
  ArrowLeft: (at, count) => (at + count - 1) % count,
  Home: () => 0,
  End: (_, count) => count - 1,
};

/** One row of places of a page; one of them is shown. Arrows, Home and End go through it. */
export function Tabs<T extends string>({ label, tabs, chosen, onChoose }: TabsProps<T>) {
  const c = useColours();
  const all = useRef(new Map<T, NativeView>());
  const key = (event: KeyboardEvent): void => {
    const to = STEPS[event.key]?.(
      tabs.findIndex(({ id }) => id === chosen),
      tabs.length,
    );
    const next = to === undefined ? undefined : tabs[to];
    if (!next) return;
    event.preventDefault();
    event.stopPropagation();
    onChoose(next.id);
    all.current.get(next.id)?.focus();
  };
  return (
    <div role="tablist" aria-label={label} onKeyDown={key} style={{ display: 'flex', flexWrap: 'wrap' }}>
      {tabs.map(({ id, words, label: name, mark }) => {
        const on = id === chosen;
        return (
          <Pressable
            key={id}
            ref={(view) => void (view ? all.current.set(id, view) : all.current.delete(id))}
            role="tab"
            aria-selected={on}
            aria-label={name}
            tabIndex={on ? 0 : -1}
            onPress={() => onChoose(id)}
            style={{
              flexGrow: 1,
              minHeight: 44,
              minWidth: 44,
              paddingHorizontal: 4,
              alignItems: 'center',
              justifyContent: 'center',
              borderBottomWidth: 3,
              borderBottomColor: on ? c.woad : c.line,
            }}
          >
            <Line gap="$1" flexWrap="nowrap">
              <Label color={on ? '$woad' : '$ink'} fontWeight={on ? '700' : '400'}>
                {words}
              </Label>
              {mark}
            </Line>
          </Pressable>
        );
      })}
    </div>
  );
}

/** What the chosen tab shows. */
export function TabPanel({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    <Column role="tabpanel" aria-label={label} gap="$3">
      {children}
    </Column>
  );
}
