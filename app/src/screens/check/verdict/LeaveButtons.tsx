import type { Choice } from '@pause/core';
import { t } from '../../../text/en/verdict';
import { HoldButton } from './HoldButton';

interface LeaveButtonsProps {
  /** Whether leaving is the one thing to do here. */
  readonly first: boolean;
  readonly disabled?: boolean;
  readonly onHeld: (choice: Exclude<Choice, 'collect'>) => void;
}

/** Leaves a find, now or until later. */
export function LeaveButtons({ first, disabled = false, onHeld }: LeaveButtonsProps) {
  return (
    <>
      <HoldButton
        label={t.iLeaveIt}
        hint={t.holdToRecord}
        tone={first ? 'ink' : 'outline'}
        disabled={disabled}
        onHeld={() => onHeld('leave')}
      />
      <HoldButton
        label={t.iComeBackLater}
        hint={t.holdToRecord}
        tone="outline"
        disabled={disabled}
        onHeld={() => onHeld('later')}
      />
    </>
  );
}
