import { View } from 'react-native';
import type { Identification } from '@pause/core/advice/identify';
import { Small, Strong } from '../../../components';
import { t } from '../../../text/en/naming';
import { commonName, upper } from '../../../text/names';
import { few } from '../../../text/reasons';
import { styles } from './namingStyles';

interface DangerStripProps {
  readonly identification: Identification;
  /** In two lines, without the names. */
  readonly brief?: boolean;
}

/** Dangerous ones that nothing seen speaks against: always in view, never scrolled away. */
export function DangerStrip({ identification, brief = false }: DangerStripProps) {
  const fitting = identification.candidates.filter(
    (c) => c.fitsEverything && (c.grade === 'deadly' || c.grade === 'serious'),
  );
  const deadly = fitting.filter((c) => c.grade === 'deadly').length;
  const names = fitting.map((c) => commonName(c.taxon));
  return (
    <View style={[styles.strip, brief && styles.briefStrip]} role="status" aria-live="polite">
      <Strong>
        {fitting.length === 0
          ? t.noDangerousOneOfThe
          : t.dangerousOnesFitAllThat(
              fitting.length,
              deadly > 0 ? `, ${deadly === fitting.length ? t.deadly : t.ofThemDeadly(deadly)}` : '',
            )}
      </Strong>
      <Small>{t.aLikelyNameProves(names.length > 0 && !brief ? `${upper(few(names, 4))}. ` : '')}</Small>
    </View>
  );
}
