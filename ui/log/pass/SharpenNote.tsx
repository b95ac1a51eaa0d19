/** How it is reckoned what would sharpen a report: the same sentence for a game and for a season. */
export const SharpenNote = () => (
  <p className="small quiet">
    Half the width of the 95 % interval of the most usual value in points, now and with every blank charted at
    the same share; ranked by what ten snaps gain, two of a pass at most.
  </p>
);
