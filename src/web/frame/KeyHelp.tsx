import { Modal } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { HAND_KEYS, isTyping, PLACE_KEYS } from './keys.ts';

const TOGETHER_MS = 1500;
/** Time stamps count from the opening of the page, so nought would be a key pressed then. */
const NOT_GOING = -Infinity;

interface KeyHelpProps {
  readonly gardenId: string;
  readonly bedIds: readonly string[];
}

/** g and a letter lead somewhere; ? lists all keys. */
export function KeyHelp({ gardenId, bedIds }: KeyHelpProps) {
  const [isOpen, setOpen] = useState(false);
  const navigate = useNavigate();
  const going = useRef(NOT_GOING);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
      if (event.key === '?') return setOpen(true);
      const isGoing = event.timeStamp - going.current < TOGETHER_MS;
      going.current = event.key === 'g' && !isGoing ? event.timeStamp : NOT_GOING;
      if (!isGoing) return;
      const place = PLACE_KEYS.find(({ key }) => key === event.key);
      const bedId = /^[1-9]$/.test(event.key) ? bedIds[Number(event.key) - 1] : undefined;
      if (place) void navigate(`/garden/${gardenId}${place.path}`);
      else if (bedId !== undefined) void navigate(`/garden/${gardenId}/bed/${bedId}`);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [bedIds, gardenId, navigate]);
  return (
    <>
      <button type="button" className="keys-link" onClick={() => setOpen(true)}>
        Keys <kbd>?</kbd>
      </button>
      <Modal open={isOpen} title="Keys" footer={null} onCancel={() => setOpen(false)} width={520}>
        <table className="keys">
          <tbody>
            {PLACE_KEYS.map(({ key, name }) => (
              <tr key={key}>
                <td>
                  <kbd>g</kbd> then <kbd>{key}</kbd>
                </td>
                <td>{name}</td>
              </tr>
            ))}
            {HAND_KEYS.map(({ keys, does }) => (
              <tr key={keys}>
                <td>{keys}</td>
                <td>{does}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Modal>
    </>
  );
}
