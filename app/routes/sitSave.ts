export async function action() {
  return null;
}
