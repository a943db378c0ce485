import type { Schemas } from '../../api/client';
import { Table } from '../../ui/Table';

/** The arms of a build: planned, made, tried, lost, eliminated. */
export function ArmTable({ rows }: { rows: Schemas['ArmRow'][] }) {
  return (
    <Table
      label="Variants"
      rows={rows}
      keyOf={(r) => r.arm.name}
      columns={[
        {
          head: 'Variant',
          whole: true,
          look: 'font-semibold',
          cell: (r) => (
            <>
              {r.arm.name}
              {r.chosen && <span className="font-normal text-blue"> · chosen</span>}
            </>
          ),
        },
        { head: 'Values', cell: (r) => r.values },
        { head: 'Counts', cell: (r) => r.sentence },
      ]}
    />
  );
}
