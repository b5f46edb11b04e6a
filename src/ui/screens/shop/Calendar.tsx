'use client';
import { openMinutes, USUAL_CALENDAR } from '@/core/buying';
import type { ShopView } from '@/crib/shop';
import { clock } from '@/core/units';
import { Row, Rows } from '@/ui/kit/figure';
import { VerbForm } from '@/ui/kit/form';
import { Tag } from '@/ui/kit/tag';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { useQuery } from '@/ui/screens/common/query';

const DAYS = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'] as const;
const words = (day: string): string => day[0]?.toUpperCase() + day.slice(1);

/** The hours of each day of the week in one line: '8 8 8 8 6 closed closed'. */
export const weekWords = (week: readonly number[]): string =>
  week.map((m, i) => `${words(DAYS[i] ?? '').slice(0, 2)} ${m === 0 ? 'closed' : m / 60}`).join(', ');

/** When the shop works: order days are counted back over it. */
export function CalendarTag({ shop }: { shop: ShopView }) {
  const query = useQuery('machines');
  const week = shop.week ?? USUAL_CALENDAR.week;
  return (
    <Tag
      over="The shop"
      number="Days and hours"
      words={
        shop.week
          ? 'Order days and starts are counted back over these.'
          : 'Not stated yet: the usual week is assumed.'
      }
      closeHref={query.href({ do: null })}
    >
      <VerbForm
        verb="stateWeek"
        submit="State the week"
        fields={[
          ...DAYS.map((day, i) => ({
            name: day,
            label: `${words(day)}, hours`,
            kind: 'number' as const,
            start: String((week[i] ?? 0) / 60),
          })),
          {
            ...{ name: 'begins', label: 'Its day begins at', optional: true, help: 'as 06:00' },
            start: shop.begins === null ? '' : clock(shop.begins),
          },
        ]}
        said={(d) => `the shop works ${d.hours} hours a week`}
      />
      <h2>A day by itself</h2>
      <VerbForm
        verb="stateDay"
        submit="State the day"
        fields={[
          { name: 'day', label: 'Day', kind: 'day' },
          {
            name: 'closed',
            label: 'The shop is',
            kind: 'choice',
            options: [
              ['yes', 'closed'],
              ['no', 'open after all'],
            ],
          },
          { name: 'reason', label: 'Why', optional: true, wide: true },
        ]}
        said={(d) => `${d.day} ${d.closed === 'yes' ? 'is closed' : 'is open after all'}`}
      />
      <Rows>
        {shop.closed.map((d) => (
          <Row
            key={d.day}
            name={d.day}
            note={
              openMinutes({ week: tuple(week), closed: new Set(), stated: true }, d.day) === 0
                ? 'closed in any week'
                : (d.reason ?? undefined)
            }
          >
            <EntryBack entry={d.entryId} what={`that ${d.day} is closed`} />
          </Row>
        ))}
      </Rows>
    </Tag>
  );
}

const tuple = (week: readonly number[]): typeof USUAL_CALENDAR.week => {
  const [mo = 0, tu = 0, we = 0, th = 0, fr = 0, sa = 0, su = 0] = week;
  return [mo, tu, we, th, fr, sa, su];
};
