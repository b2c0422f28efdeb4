import { Input } from 'antd';
import { marked } from 'marked';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { MODEL_VERSION } from '../../../core/model/index.ts';
import method from '../../../../docs/method.md?raw';
import '../../theme/figures-table.css';
import './method.css';
import { PageHeading } from '../../ui/heading/PageHeading.tsx';

interface Chapter {
  readonly id: string;
  readonly title: string;
  readonly text: string;
  readonly html: string;
}

/** The document the model is built by, chapter by chapter. It is part of the app and comes from nowhere else. */
const CHAPTERS: readonly Chapter[] = method
  .split(/^## /m)
  .slice(1)
  .map((text) => {
    const [title = ''] = text.split('\n', 1);
    const id = title
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '');
    return {
      id,
      title,
      text: text.toLowerCase(),
      html: marked.parse(text.slice(title.length), { async: false }),
    };
  });
const PREFACE = marked.parse(method.split(/^## /m)[0]!.replace(/^# .*$/m, ''), { async: false });

/** Every formula, its source and its weakness; what the setting of the school changes is among it. */
export function MethodPage() {
  const { gardenId } = useParams();
  const [sought, setSought] = useState('');
  const words = sought.trim().toLowerCase();
  const shown = useMemo(() => CHAPTERS.filter(({ text }) => text.includes(words)), [words]);
  return (
    <div className="page method-page">
      <header className="page-head">
        <div>
          <PageHeading>Method</PageHeading>
          <p className="soft">
            How every figure comes about, where its numbers are from, and what the model misses. Beside any
            answer on a bed, “How worked out” puts that bed’s own figures in.
          </p>
          <p>
            Version {MODEL_VERSION} of the model.{' '}
            <Link to={`/garden/${gardenId}/method/checks`}>How well does it do?</Link>
          </p>
        </div>
        <Input.Search
          allowClear
          aria-label="Look for a word"
          placeholder="humus, ammonia, char …"
          style={{ width: 230 }}
          value={sought}
          onChange={(event) => setSought(event.target.value)}
        />
      </header>
      <div className="method-columns">
        <nav aria-label="Chapters" className="method-contents">
          <ul className="plain-list">
            {shown.map(({ id, title }) => (
              <li key={id}>
                <a href={`#${id}`}>{title}</a>
              </li>
            ))}
          </ul>
        </nav>
        <div className="method-text">
          {words === '' && <div dangerouslySetInnerHTML={{ __html: PREFACE }} />}
          {shown.map(({ id, title, html }) => (
            <section key={id} id={id} aria-label={title}>
              <h2>{title}</h2>
              <div dangerouslySetInnerHTML={{ __html: html }} />
            </section>
          ))}
          {shown.length === 0 && <p>No chapter has “{sought}”.</p>}
        </div>
      </div>
    </div>
  );
}
