import { noteServerNow } from './clock';
import type { Problem } from './types';
import { working } from './working';

/** The server said no, and why. */
export class Refused extends Error {
    constructor(
        readonly status: number,
        message: string,
        readonly problems: Problem[],
        readonly there: Record<string, unknown>,
        /** What of the machine under it refused: full, read-only, busy, damaged. */
        readonly kind: string | null = null,
    ) {
        super(message);
    }

    /** One sentence for a person: the message and the first problem. */
    sentence(): string {
        const first = this.problems[0];

        return first === undefined ? this.message : `${this.message} ${first.path === '' ? '' : first.path + ' '}${first.wrong}; ${first.right}.`;
    }
}

/** The server cannot be reached. */
export class Away extends Error {}

interface ErrorBody {
    error?: { message?: string; problems?: Problem[]; there?: Record<string, unknown>; kind?: string };
}

async function reach(method: string, path: string, body?: unknown, headers: Record<string, string> = {}, signal?: AbortSignal): Promise<Response> {
    try {
        const asked = fetch('/api/' + path, {
            signal: signal ?? null,
            method,
            headers: body === undefined ? headers : { 'Content-Type': body instanceof Blob ? body.type : 'application/json', ...headers },
            body: body === undefined ? null : typeof body === 'string' || body instanceof Blob ? body : JSON.stringify(body),
        });

        return await working(asked);
    } catch {
        throw new Away('The bench cannot be reached.');
    }
}

async function read<T>(response: Response): Promise<T> {
    const data = (await response.json().catch(() => ({}))) as T & ErrorBody & { now?: string };
    if (!response.ok) {
        throw new Refused(response.status, data.error?.message ?? 'Something went wrong.', data.error?.problems ?? [], data.error?.there ?? {}, data.error?.kind ?? null);
    }
    if (data.now !== undefined) {
        noteServerNow(data.now);
    }

    return data;
}

async function call<T>(method: string, path: string, body?: unknown, headers: Record<string, string> = {}, signal?: AbortSignal): Promise<T> {
    return read<T>(await reach(method, path, body, headers, signal));
}

/** What was answered last, by path, with the tag that says whether it still stands. */
const last = new Map<string, { tag: string; data: unknown }>();

/** Asks only for what is new: with nothing new the last answer stands as it is. */
async function renew<T>(path: string): Promise<T> {
    const known = last.get(path);
    const response = await reach('GET', path, undefined, known === undefined ? {} : { 'If-None-Match': known.tag });
    if (response.status === 304 && known !== undefined) {
        return known.data as T;
    }
    const data = await read<T>(response);
    const tag = response.headers.get('ETag');
    if (tag !== null) {
        last.set(path, { tag, data });
    }

    return data;
}

export const api = {
    renew,
    get: <T>(path: string): Promise<T> => call<T>('GET', path),
    post: <T>(path: string, body: unknown, headers?: Record<string, string>, signal?: AbortSignal): Promise<T> => call<T>('POST', path, body, headers, signal),
    put: <T>(path: string, body: unknown): Promise<T> => call<T>('PUT', path, body),
};
