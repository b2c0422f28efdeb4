import { html } from 'hono/html';

const STYLE = `body{font:16px/1.5 system-ui,sans-serif;max-width:60rem;margin:2rem auto;padding:0 1rem;color:#2b2520;background:#fffefa}
code{font-size:.95em}pre{white-space:pre-wrap;background:#f5ece0;padding:.6rem}summary{cursor:pointer}li{margin:.3rem 0;list-style:none}ul{padding:0}`;

/** The same as a page to read: nothing on it is fetched from anywhere. */
export function apiPage(description: object) {
  const { paths } = description as { paths: Record<string, Record<string, OperationOnPage>> };
  const operations = Object.entries(paths).flatMap(([path, methods]) =>
    Object.entries(methods).map(([method, operation]) => ({ path, method: method.toUpperCase(), operation })),
  );
  const tags = [...new Set(operations.map(({ operation }) => operation.tags[0]!))];
  return html`<!doctype html>
    <html lang="en">
      <head>
        <meta charset="utf-8" />
        <meta name="viewport" content="width=device-width" />
        <title>Vine Ledger: the API</title>
        <style>
          ${STYLE}
        </style>
      </head>
      <body>
        <h1>The API of Vine Ledger</h1>
        <p>
          All of it as <a href="/api/openapi.json">OpenAPI 3.1</a>. Bodies are JSON; what is refused is
          answered as problem details with a sentence for every field.
        </p>
        ${tags.map(
          (tag) =>
            html`<h2>${tag}</h2>
              <ul>
                ${operations.filter(({ operation }) => operation.tags[0] === tag).map(operationOnPage)}
              </ul>`,
        )}
      </body>
    </html>`;
}

interface OperationOnPage {
  readonly summary: string;
  readonly tags: readonly string[];
  readonly requestBody?: { readonly content?: Record<string, { schema?: unknown; example?: unknown }> };
}

function operationOnPage({
  path,
  method,
  operation,
}: {
  readonly path: string;
  readonly method: string;
  readonly operation: OperationOnPage;
}) {
  const content = operation.requestBody?.content?.['application/json'];
  const asText = (value: unknown) => JSON.stringify(value, null, 2);
  return html`<li>
    <code>${method} ${path}</code><br />${operation.summary}.
    ${
      content
        ? html`<details>
            <summary>The body</summary>
            ${
              content.example === undefined
                ? ''
                : html`<p>For example</p>
                    <pre>${asText(content.example)}</pre>`
            }
            <pre>${asText(content.schema)}</pre>
          </details>`
        : ''
    }
  </li>`;
}
