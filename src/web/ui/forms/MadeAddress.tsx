import { Button, Input } from 'antd';
import type { ReactNode } from 'react';
import './made-address.css';

interface MadeAddressProps {
  /** Of what the address is, for those who hear the page. */
  readonly name: string;
  readonly address: string;
  /** What whoever has it can do. */
  readonly children: ReactNode;
}

/** A secret address that is shown once, to be copied. */
export function MadeAddress({ name, address, children }: MadeAddressProps) {
  return (
    <div className="made-address" role="status">
      <Input readOnly value={address} aria-label={name} onFocus={(event) => event.target.select()} />
      <Button onClick={() => void navigator.clipboard.writeText(address)}>Copy</Button>
      <p className="soft">{children}</p>
    </div>
  );
}
