import qrcode from "qrcode";
import { data, Link } from "react-router";
import { findSheet } from "../../server/sheets/sheetStore.ts";
import type { Route } from "./+types/doorPage.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [{ title: loaderData?.title ?? "The way in" }];

export async function loader({ params, context }: Route.LoaderArgs) {
  const sheet = await findSheet(context.services.database, params.sheetKey);
  if (!sheet) throw data("There is no such sheet.", { status: 404 });
  const address = `${context.studentOrigin}/s`;
  const drawn = await qrcode.toString(`${address}/${sheet.code}`, { type: "svg", margin: 2 });
  return {
    ...{ key: sheet.key, title: sheet.title, code: sheet.code, open: sheet.state === "set", address },
    drawn: `data:image/svg+xml;charset=utf-8,${encodeURIComponent(drawn)}`,
  };
}

/** The way in to a sheet for a room to read from afar: address, code, and a QR code (ISO/IEC 18004). */
export default function Door({ loaderData }: Route.ComponentProps) {
  const { key, title, code, address, drawn, open } = loaderData;
  return (
    <main className="grid min-h-screen content-center justify-items-center gap-8 p-8 text-center">
      <h1 className="text-4xl">{title}</h1>
      <div className="flex flex-wrap items-center justify-center gap-12">
        <img src={drawn} alt={`QR code that leads to ${address}/${code}`} className="w-80 bg-white" />
        <dl className="grid gap-2 text-left">
          <dt className="text-xl">Open</dt>
          <dd className="font-mono text-4xl font-semibold break-all">{address}</dd>
          <dt className="mt-4 text-xl">Code of the sheet</dt>
          <dd className="font-mono text-7xl font-semibold whitespace-nowrap">{code}</dd>
        </dl>
      </div>
      {!open && <p className="text-xl">It is not open at the moment.</p>}
      <Link className="link" to={`/sheets/${key}/room`}>
        The room
      </Link>
    </main>
  );
}
