import { Router, type RequestHandler } from 'express';
import type { RouteParameters } from 'express-serve-static-core';
import type { Json } from './openapi-words.js';

type Handlers<Path extends string> = readonly RequestHandler<RouteParameters<Path>>[];
type Add = <const Path extends string>(path: Path, said: Json, ...handlers: Handlers<Path>) => void;

/** Routes of one feature, each with what the OpenAPI document says of it: none is served without. */
export interface ApiRouter {
  readonly router: Router;
  /** What has been said, by path as OpenAPI writes it, then by method. */
  readonly paths: Readonly<Record<string, Readonly<Record<string, Json>>>>;
  readonly get: Add;
  readonly post: Add;
  readonly put: Add;
  readonly delete: Add;
}

/** Routes to be filled and served under `/api`. */
export function apiRouter(): ApiRouter {
  const router = Router();
  const paths: Record<string, Record<string, Json>> = {};
  const add =
    (method: 'get' | 'post' | 'put' | 'delete'): Add =>
    (path, said, ...handlers) => {
      const at = `/api${path.replace(/:(\w+)/g, '{$1}')}`;
      paths[at] = { ...paths[at], [method]: said };
      router[method](path, ...(handlers as readonly RequestHandler[]));
    };
  return { router, paths, get: add('get'), post: add('post'), put: add('put'), delete: add('delete') };
}
