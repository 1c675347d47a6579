import { Router } from 'express';
import { createInterface } from 'node:readline';
import { findTool, inputSchema, runTool, TOOLS } from '@plinth/core';
import { describeError, runLine } from '../calc';

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

/** Everything under /api/tools. A POST to the root takes a line of JSON a calculation and answers a line each, streaming. */
export function toolRoutes(): Router {
  const router = Router();
  router.get('/', (_request, response) => {
    response.json([...TOOLS.values()].map(({ id, title, summary, example }) => ({ id, title, summary, example })));
  });
  router.get('/:id/schema', (request, response) => {
    response.json(inputSchema(findTool(request.params.id)));
  });
  router.post('/', async (request, response) => {
    response.type('application/x-ndjson');
    for await (const line of createInterface({ input: request, crlfDelay: Infinity })) {
      if (!line.trim()) continue;
      let answer: unknown;
      try {
        answer = runLine(line);
      } catch (error) {
        answer = describeError(error).body;
      }
      if (!response.write(`${JSON.stringify(answer)}\n`)) await new Promise((resolve) => response.once('drain', resolve));
    }
    response.end();
  });
  router.post('/:id', (request, response) => {
    response.json(runTool(findTool(request.params.id), request.body));
  });
  return router;
}
