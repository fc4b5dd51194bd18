/** Shown before anybody is signed in, by the gate around every page: here is only its address. */
export default function Join() {
  return null;
}
