import {
  roomsOfOutlines,
  type Issue,
  type Outline,
  type Survey,
  type TableRoom,
  type Unit,
} from '@long-miter/core';
import { readWalls } from './wall-files.ts';
import { t } from '../../messages/t.ts';

/** Rooms out of files: tables of walls, drawings. What a reader needs is fetched when a file of its kind is opened. */

type ReadRooms = { readonly rooms: readonly TableRoom[] } | { readonly issues: readonly Issue[] };

/** Inches for one unit of a drawing, by the number that stands for the unit in it; without one it is taken for the job's. */
const INCHES: Readonly<Record<number, number>> = { 1: 1, 2: 12, 4: 1 / 25.4, 5: 10 / 25.4, 6: 1000 / 25.4 };

/** Reads the closed polylines of a drawing as rooms. */
async function readDrawing(text: string, unit: Unit, survey: Survey): Promise<ReadRooms> {
  const { default: DxfParser } = await import('dxf-parser');
  let drawing: ReturnType<InstanceType<typeof DxfParser>['parseSync']>;
  try {
    drawing = new DxfParser().parseSync(text);
  } catch {
    drawing = null;
  }
  if (!drawing)
    return { issues: [{ at: '', text: t('is no drawing that can be read: save it as DXF in text form') }] };
  const outlines: Outline[] = drawing.entities.flatMap((entity) => {
    const line = entity as unknown as { shape?: boolean; vertices?: { x: number; y: number }[] };
    const isOutline =
      (entity.type === 'LWPOLYLINE' || entity.type === 'POLYLINE') && line.shape === true && line.vertices;
    return isOutline ? [{ name: entity.layer, points: line.vertices!.map(({ x, y }) => ({ x, y })) }] : [];
  });
  // Drawings of ours say which of their lines are rooms.
  const rooms = outlines.filter((one) => one.name === 'ROOM');
  const own = unit === 'in' ? 1 : 25.4;
  const inches = INCHES[Number(drawing.header['$INSUNITS'] ?? 0)];
  const read = roomsOfOutlines(
    rooms.length > 0 ? rooms : outlines,
    inches === undefined ? 1 : inches * own,
    survey,
  );
  return read.ok ? { rooms: read.value } : { issues: read.issues };
}

/** Reads rooms from a file of any kind that there is. @param table reads a workbook's first sheet as rows of text */
export async function readRooms(
  file: File,
  unit: Unit,
  survey: Survey,
  table: (file: File) => Promise<readonly string[][] | Issue>,
): Promise<ReadRooms> {
  if (/\.dxf$/i.test(file.name)) return readDrawing(await file.text(), unit, survey);
  if (!/\.xlsx$/i.test(file.name)) return readWalls(await file.text(), unit, survey);
  const rows = await table(file);
  return 'text' in rows ? { issues: [rows] } : readWalls(rows, unit, survey);
}
