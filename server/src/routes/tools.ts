import { Router } from 'express';
import { once } from 'node:events';
import { BadInput, findTool, inputSchema, TOOLS } from '@plinth/core';
import { describeError } from '../errors';
import { bytes, bytesOf } from '../guard/body';
import { untilGone } from '../guard/gone';
import type { Workers } from '../threads/workers';

/** OpenAPI document of the tools, made from their declarations. */
export function openApi(): unknown {
  const paths: Record<string, unknown> = {};
  for (const tool of TOOLS.values())
    paths[`/api/tools/${tool.id}`] = {
      post: {
        operationId: tool.id,
        summary: tool.title,
        description: tool.summary,
        requestBody: { required: true, content: { 'application/json': { schema: inputSchema(tool), example: tool.example } } },
        responses: {
          200: {
            description: 'result, kinds of its numbers, checks, steps of the sheet, assumptions',
            content: { 'application/json': { schema: { $ref: '#/components/schemas/ToolReply' } } },
          },
          422: {
            description: 'what is wrong, field by field',
            content: { 'application/json': { schema: { $ref: '#/components/schemas/Error' } } },
          },
        },
      },
    };
  return {
    openapi: '3.1.0',
    info: {
      title: 'Lofty Plinth calculations',
      version: '1',
      description: 'Numbers are in N, mm and MPa; text with a unit is read. Results must be confirmed by a licensed engineer.',
    },
    paths,
    components: {
      schemas: {
        ToolReply: {
          type: 'object',
          required: ['tool', 'result', 'kinds', 'checks', 'steps', 'assumptions'],
          properties: {
            tool: { type: 'string' },
            result: {},
            kinds: { type: 'object' },
            checks: { type: 'array', items: { type: 'object' } },
            steps: { type: 'array', items: { type: 'object' } },
            assumptions: { type: 'array', items: { type: 'object' } },
          },
        },
        Error: {
          type: 'object',
          required: ['error'],
          properties: {
            error: {
              type: 'object',
              required: ['code', 'message'],
              properties: {
                code: { type: 'string' },
                message: { type: 'string' },
                field: { type: 'string' },
                issues: {
                  type: 'array',
                  items: { type: 'object', properties: { field: { type: 'string' }, message: { type: 'string' } } },
                },
              },
            },
          },
        },
      },
    },
  };
}

/** A line of a batch has at most so many characters. */
const LONGEST_LINE = 5_000_000;

/** So many lines of one batch are with the threads at once. */
const TOGETHER = 16;

/** Everything under /api/tools. A POST to the root takes a line of JSON a calculation and answers a line each, streaming. */
export function toolRoutes({ workers }: { readonly workers: Workers }): Router {
  const router = Router();
  router.get('/', (_request, response) => {
    response.json([...TOOLS.values()].map(({ id, title, summary, example }) => ({ id, title, summary, example })));
  });
  router.get('/:id/schema', (request, response) => {
    response.json(inputSchema(findTool(request.params.id)));
  });

  const answerLine = async (line: string, signal: AbortSignal): Promise<string> => {
    try {
      if (line.length > LONGEST_LINE) throw new BadInput('the line is too long');
      return await workers.do<'line'>({ do: 'line', line }, signal);
    } catch (error) {
      return JSON.stringify(describeError(error).body);
    }
  };
  router.post('/', bytes('application/x-ndjson', 'application/json'), async (request, response) => {
    const signal = untilGone(response);
    const lines = Buffer.from(bytesOf(request))
      .toString('utf8')
      .split(/\r?\n/)
      .filter((line) => line.trim() !== '');
    response.type('application/x-ndjson');
    const under: Promise<string>[] = [];
    for (let next = 0; next < lines.length || under.length > 0;) {
      while (under.length < TOGETHER && next < lines.length) under.push(answerLine(lines[next++]!, signal));
      const answer = await under.shift()!;
      if (signal.aborted) return;
      if (!response.write(`${answer}\n`)) await Promise.race([once(response, 'drain'), once(response, 'close')]);
    }
    response.end();
  });
  router.post('/:id', bytes('application/json'), async (request, response) => {
    const id = String(request.params['id']);
    findTool(id);
    response.type('application/json').send(await workers.do<'tool'>({ do: 'tool', id, body: bytesOf(request) }, untilGone(response)));
  });
  return router;
}
