import type { AgendaItem } from '../../../core/season/index.ts';
import { counted } from '../../../words/counted.ts';
import { agendaSections, bundleItems, doneLately } from './agenda-sections.ts';
import { TaskBundle } from './TaskBundle.tsx';
import { TaskRow, type TaskRowProps } from './TaskRow.tsx';

interface ListsProps {
  readonly items: readonly AgendaItem[];
  readonly rows: Omit<TaskRowProps, 'item'>;
}

/** Everything that is to be done, the most urgent first; looks in passing are folded away. */
export function AgendaLists({ items, isWaiting, rows }: ListsProps & { readonly isWaiting: boolean }) {
  const sections = agendaSections(items, rows.today);
  const done = doneLately(items, rows.today);
  if (sections.length === 0 && !isWaiting) {
    return (
      <div className="empty">
        <h2>Nothing to do</h2>
        <p>
          Make a bed and plan something for it: a layer for autumn, a crop for spring. What follows from it,
          and when, stands here by itself.
        </p>
      </div>
    );
  }
  return (
    <>
      {sections.map(({ name, items: own, inPassing }) => (
        <section key={name} className={name === 'Late' ? 'agenda is-late' : 'agenda'} aria-label={name}>
          <h2>{name}</h2>
          <Tasks items={own} rows={rows} />
          {inPassing.length > 0 && (
            <details className="in-passing">
              <summary>When you pass by: {counted(inPassing.length, 'thing')} to look at</summary>
              <Tasks items={inPassing} rows={rows} />
            </details>
          )}
        </section>
      ))}
      {done.length > 0 && (
        <details className="done-lately">
          <summary>Done or deleted lately ({done.length})</summary>
          <TaskList name="Done" items={done} rows={rows} />
        </details>
      )}
    </>
  );
}

/** Tasks under one heading. */
export function TaskList({ name, items, rows }: { readonly name: string } & ListsProps) {
  return (
    <section className="agenda" aria-label={name}>
      <h2>{name}</h2>
      <Tasks items={items} rows={rows} />
    </section>
  );
}

function Tasks({ items, rows }: ListsProps) {
  return (
    <ul className="tasks">
      {bundleItems(items).map((bundle) =>
        bundle.length === 1 ? (
          <TaskRow key={bundle[0]!.key} item={bundle[0]!} {...rows} />
        ) : (
          <TaskBundle key={bundle[0]!.key} items={bundle} {...rows} />
        ),
      )}
    </ul>
  );
}
