import { edited, type FindRecord } from '@pause/core';
import { Input, Small, useText } from '../../components';
import { write } from '../../notebook/actions';
import { useAct } from '../../notebook/store';
import { t } from '../../text/en/find';

interface WrittenProps {
  readonly record: FindRecord;
  readonly field: 'placeNote' | 'note';
  readonly label: string;
  readonly placeholder: string;
  readonly most: number;
  /** What stood there from the beginning, where nothing was written over it. */
  readonly first?: string | undefined;
}

/** A text of a find that is written over: what was there before stays visible. */
export function Written({ record, field, label, placeholder, most, first = '' }: WrittenProps) {
  const act = useAct();
  const { now, before } = edited(record, field);
  const saved = now === undefined ? first : typeof now.value === 'string' ? now.value : '';
  const [text, setText] = useText(saved);
  const written = text.trim();
  const earlier = before.flatMap(({ value }) => (typeof value === 'string' ? [value] : []));
  return (
    <>
      <Input
        aria-label={label}
        value={text}
        onChangeText={setText}
        maxLength={most}
        placeholder={placeholder}
        multiline={field === 'note'}
        onBlur={() => {
          if (written !== saved)
            void act(write(record.id, { field, value: written === '' ? null : written }));
        }}
      />
      {earlier.length > 0 ? (
        <Small soft>
          {t.before(
            earlier
              .slice(0, 3)
              .map((one) => `“${one}”`)
              .join(', '),
          )}
        </Small>
      ) : null}
    </>
  );
}
