import { message, documentSchema, checkShape, exportJobFile, type PlanFile } from '@long-miter/core';
import { NoDocument, writeDocument } from '../../formats/documents.ts';
import { LARGEST_WORKBOOK, NoWorkbook, readXlsx } from '../../formats/read-xlsx.ts';
import { HttpProblem, invalid } from '../../http/problem.ts';
import { stream, type Route } from '../../http/route.ts';
import { getJob } from '../jobs/service.ts';
import { readLog } from '../shop/service.ts';

/** Files of a job: lists, pictures, paper. They are made of the plan that the page shows, so that both say the same. */
export const documentRoutes: readonly Route[] = [
  stream({
    method: 'POST',
    path: '/tables',
    role: 'measure',
    about: 'Reads the first sheet of a workbook (XLSX) as rows of text; nothing is kept',
    stream: async (_context, _input, request, response) => {
      const parts: Buffer[] = [];
      let size = 0;
      for await (const part of request as AsyncIterable<Buffer>) {
        size += part.length;
        if (size > LARGEST_WORKBOOK)
          throw new HttpProblem('too-large', message('server.a-table-has-at-most-2'));
        parts.push(part);
      }
      response.json(
        await readXlsx(Buffer.concat(parts)).catch((error: unknown) => {
          if (error instanceof NoWorkbook) throw invalid([{ at: '', text: error.why }]);
          throw error;
        }),
      );
    },
  }),
  stream({
    method: 'POST',
    path: '/jobs/:job/documents/:item',
    role: 'read',
    about: 'Writes a document of the job, such as `cut-list.pdf`, of the plan that is sent along',
    stream: async (context, { params }, request, response) => {
      const asked = checkShape(documentSchema, request.body ?? {});
      if (!asked.ok) throw invalid(asked.issues);
      const { plan, room, paper } = asked.value;
      const job = exportJobFile(await getJob(context, params['job']!));
      const document = params['item']!;
      const events = document.startsWith('log.') ? (await readLog(context, params['job']!)).events : [];
      const written = await writeDocument(document, {
        job,
        events,
        // Checked as far as it is looked at below; what is not whole is refused.
        plan: plan as PlanFile | undefined,
        room,
        ...(paper ? { paper } : {}),
      }).catch((error: unknown) => {
        if (error instanceof NoDocument) throw new HttpProblem('not-found', error.why);
        if (error instanceof TypeError)
          throw invalid([{ at: '/plan', text: message('server.is-not-a-plan-of-this') }]);
        throw error;
      });
      response.attachment(document).type(written.type).send(written.content);
    },
  }),
];
