import { View } from 'react-native';
import { Rule } from '../../components';
import { LinkRow } from '../../components/LinkRow';
import { useApp } from '../../notebook/store';
import { t } from '../../text/en/practice';
import { lessonsOf } from './lessons';

/** All lessons of this notebook, each with whose it is and how many pairs it has. */
export function LessonRows() {
  const pages = useApp((state) => state.pages.all);
  const groups = useApp((state) => state.me.person?.groups);
  return (
    <View role="list" aria-label={t.lessons}>
      <Rule />
      {lessonsOf(pages).map(({ id, fields, group }) => (
        <LinkRow
          key={id}
          href={{ pathname: '/practice/lesson/[id]', params: { id } }}
          name={fields.title ?? t.aLesson}
          line={group === undefined ? t.yourOwn : groups?.find((one) => one.id === group)?.name}
          end={`${fields.pairs?.length ?? 0} ${fields.pairs?.length === 1 ? t.pair : t.pairs}`}
        />
      ))}
    </View>
  );
}
