/** The shape of a screen that is on its way. */
interface SkeletonProps {
  readonly what: string;
  /** Rows of the wide card and of the narrow one. */
  readonly rows: readonly [wide: number, narrow: number];
}

export function Skeleton({ what, rows }: SkeletonProps) {
  return (
    <div className="weekgrid skeleton" role="status" aria-busy="true">
      <span className="hide">{what} is on its way</span>
      {rows.map((count, card) => (
        <div key={card} className="card" aria-hidden="true">
          {Array.from({ length: count }, (_, row) => (
            <span key={row} className="bar" />
          ))}
        </div>
      ))}
    </div>
  );
}
