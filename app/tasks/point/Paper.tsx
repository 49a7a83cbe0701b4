/** Room for a line number. */
export function Paper() {
  return <p>Line: ____________</p>;
}
