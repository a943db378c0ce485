import type { Schemas } from '../../api/client';
import { Gather } from '../../ui/records/Gather';
import { Table } from '../../ui/Table';
import { ARTICLE_STATE, WHEREABOUTS } from '../../ui/words';
import type { Form } from './Build';

type Row = Schemas['ArticleRow'];

function went(wrong: string): string {
  const said = wrong.trim();
  if (said === '') return '';
  return said.toLowerCase() === 'nothing' ? 'nothing went wrong' : `went wrong: ${said}`;
}

export function ArticleTable({ rows, write, edit }: { rows: Row[]; write: boolean; edit: (form: Form) => void }) {
  const open = ({ article }: Row) => edit({ kind: 'article', editing: { id: article.id, record: { ...article } } });
  return (
    <Table<Row>
      label="Articles"
      rows={rows}
      keyOf={(r) => r.article.id}
      columns={[
        {
          head: 'Serial',
          whole: true,
          look: 'font-semibold',
          cell: ({ article }) => (
            <>
              {article.serial}
              <span className="block text-xs font-normal text-soft">
                {[
                  ARTICLE_STATE[article.state],
                  article.scale,
                  article.arm,
                  article.whereabouts === 'here' ? '' : WHEREABOUTS[article.whereabouts],
                  article.keeper === '' ? '' : `kept by ${article.keeper}`,
                ]
                  .filter((t) => t !== '')
                  .join(' · ')}
              </span>
            </>
          ),
        },
        {
          head: 'Has been through',
          whole: true,
          cell: (r) => (
            <>
              {r.past}
              {write && r.article.gathers && r.article.earlier.length === 0 && (
                <span className="block">
                  <Gather article={r.article} />
                </span>
              )}
              {r.article.earlier.length > 0 && (
                <span className="block text-xs text-soft">reworked, now of {r.letter}</span>
              )}
              {r.article.uses.map((u) => (
                <span key={u.day + u.what} className="block text-xs text-soft">
                  outside trials: {[u.howLong, u.what, went(u.wrong)].filter((t) => t !== '').join(', ')}
                </span>
              ))}
            </>
          ),
        },
        { head: 'Lots', cell: (r) => r.article.lots.join(', ') },
        {
          head: 'Built otherwise',
          look: 'max-w-72',
          cell: (r) =>
            [...r.article.deviants.map((d) => `${d.name} ${d.value}`.trim()), r.article.deviations]
              .filter(Boolean)
              .join('; ') || <span className="text-soft">as drawn</span>,
        },
      ]}
      edit={write ? (r) => () => open(r) : undefined}
    />
  );
}
