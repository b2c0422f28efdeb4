import { Button } from 'antd';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { remember, remembered } from '../../app/device-memory.ts';
import { DEMO_GARDEN_ID, SOUTHERN_GARDEN_ID } from './demo-garden.ts';
import './guide.css';

const CLOSED_KEY = 'vine-ledger demo guide closed';

const STOPS = [
  {
    to: 'bed/demo-sawpit-corner',
    title: 'A bed under sawdust',
    try: 'See how much nitrogen is locked up and until when; then pull the upper edge of a layer up or down.',
  },
  {
    to: 'calendar',
    title: 'What to do when',
    try: 'Tick something off, or postpone it, and see what being late costs.',
  },
  { to: 'log', title: 'Two taps in the logbook', try: 'Choose a bed and say what color its leaves have.' },
  { to: 'stock', title: 'Piles that age', try: 'Open one and see what it is worth today, and in a year.' },
  { to: 'years', title: 'Ten years of a habit', try: 'Put two habits side by side and see the humus part.' },
  { to: 'data', title: 'In and out', try: 'Export the whole garden as a file, or reset the demo garden.' },
] as const;

/** A way through the demo garden: six places, each with one thing to try. */
export function DemoGuide({ gardenId }: { gardenId: string }) {
  const [search] = useSearchParams();
  const isAsked = search.get('guide') !== null;
  const [isOpen, setOpen] = useState(() => isAsked || remembered(CLOSED_KEY) === null);
  if (gardenId !== DEMO_GARDEN_ID) return null;
  const toggle = (open: boolean) => {
    remember(CLOSED_KEY, open ? null : 'yes');
    setOpen(open);
  };
  if (!isOpen) {
    return (
      <p className="guide-closed">
        <Button size="small" type="link" onClick={() => toggle(true)}>
          Show the way through the demo garden
        </Button>
      </p>
    );
  }
  return (
    <section className="guide" aria-label="A way through the demo garden">
      <div className="section-head">
        <h2>A way through this invented garden</h2>
        <Button size="small" type="text" onClick={() => toggle(false)}>
          Close
        </Button>
      </div>
      <ol>
        {STOPS.map((stop) => (
          <li key={stop.to}>
            <Link to={stop.to}>{stop.title}</Link>
            <span className="soft">{stop.try}</span>
          </li>
        ))}
      </ol>
      <p className="guide-end">
        The same in a hot wet climate: <Link to={`/garden/${SOUTHERN_GARDEN_ID}`}>Lanternfield</Link>. Seen
        enough? <Link to="/welcome">Begin your own garden</Link>; this one stays to look things up in.
      </p>
    </section>
  );
}
