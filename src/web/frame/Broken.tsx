import { Button } from 'antd';
import { Link, useRouteError } from 'react-router';
import { PageHeading } from '../ui/heading/PageHeading.tsx';

/** What browsers say when a part of the program cannot be had. */
const IS_MISSING_PART = /dynamically imported module|importing a module script failed|unable to preload/i;

/** An address that leads nowhere, or a page that failed. */
export function Broken() {
  const error = useRouteError();
  const reason = error instanceof Error ? error.message : 'There is no such page.';
  return (
    <main className="page">
      <div className="empty">
        <PageHeading>This page cannot be shown</PageHeading>
        {IS_MISSING_PART.test(reason) ? (
          <>
            <p>
              A part of it could not be loaded: either the connection is gone, or Vine Ledger was renewed
              while this page was open. The books are as they were.
            </p>
            <Button type="primary" onClick={() => window.location.reload()}>
              Load it again
            </Button>
          </>
        ) : (
          <>
            <p>{reason}</p>
            <Link to="/">Back to the garden</Link>
          </>
        )}
      </div>
    </main>
  );
}
