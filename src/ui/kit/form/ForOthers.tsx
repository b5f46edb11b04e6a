/** Who does this here, where whoever sees it may not: said before they try. */
export const ForOthers = ({ who }: { who: string }) => (
  <p className="soft small" role="note">
    Done here by {who}.
  </p>
);
