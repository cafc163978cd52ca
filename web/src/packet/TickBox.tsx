import './TickBox.css';
/** A box to tick with a pencil. */
export const TickBox = () => <span className="box" aria-hidden />;
