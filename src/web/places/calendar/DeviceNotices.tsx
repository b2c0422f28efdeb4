import { Checkbox } from 'antd';
import { useState } from 'react';
import { beginTelling, canTell, isTelling, stopTelling } from '../../app/day-notices.ts';

/** Notices of this device, switched on and off. */
export function DeviceNotices() {
  const [isOn, setOn] = useState(isTelling);
  const [isRefused, setRefused] = useState(false);
  const choose = async (isWanted: boolean) => {
    if (!isWanted) stopTelling();
    const isAllowed = isWanted && (await beginTelling());
    setOn(isAllowed);
    setRefused(isWanted && !isAllowed);
  };
  return (
    <div className="device-notices">
      <h3>On this device</h3>
      {canTell() ? (
        <Checkbox checked={isOn} onChange={(event) => void choose(event.target.checked)}>
          a notice once a day of what is due, when Vine Ledger is opened or left open
        </Checkbox>
      ) : (
        <p className="soft">
          This browser shows no notices for this address: they need the machine of the books itself, or https.
        </p>
      )}
      {isRefused && (
        <p className="field-trouble" role="alert">
          The browser does not allow notices from here. Allow them for this page in its settings, then tick it
          again.
        </p>
      )}
    </div>
  );
}
