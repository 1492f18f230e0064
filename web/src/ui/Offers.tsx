interface Props {
  /** What a figure without a unit is asked about. */
  asks: string | null;
  /** The readings that it may have. */
  offers: readonly string[];
  onTake: (offer: string) => void;
}

/** The readings of a figure that may mean several things, to press. */
export function Offers({ asks, offers, onTake }: Props) {
  if (offers.length === 0) return null;
  return (
    <span className="offers">
      {asks}
      {offers.map((offer) => (
        <button
          key={offer}
          type="button"
          className="btn btn-sm btn-outline-secondary"
          // Before the field is left with what is typed there.
          onMouseDown={(event) => event.preventDefault()}
          onClick={() => onTake(offer)}
        >
          {offer}
        </button>
      ))}
    </span>
  );
}
