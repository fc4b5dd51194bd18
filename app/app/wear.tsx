/** Shown to whoever holds a link, by the gate around every page: here is only its address. */
export default function Wear() {
  return null;
}
