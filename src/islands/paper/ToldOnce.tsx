import { TextInput } from '@mantine/core';
import { CopyText } from './CopyText';

/** An address that is its own key, told only once, to be copied. */
export function ToldOnce({ what, address, className }: { what: string; address: string; className: string }) {
  return (
    <div className={className} role="status">
      <TextInput
        label={`The ${what}: it is told only this once`}
        value={address}
        readOnly
        onFocus={(e) => e.currentTarget.select()}
      />
      <CopyText text={address}>{`Copy the ${what}`}</CopyText>
    </div>
  );
}
