/** Words of the trade and of our own that a newcomer does not know, each said once where it first stands, and in Help by letter. */
export const TERMS: Record<string, string> = {
    'area': 'a region of a piece with one final colour and sheen',
    'bare': 'the plastic, resin or metal itself, with nothing on it',
    'board': 'a board of clips or tape that holds many small pieces, sprayed in one go',
    'call-out': 'a line of the booklet that says which part gets which colour',
    'cap': 'to cover an area with a mask; capped is what lies under one',
    'closing': 'do it before a time or lose the chance: a cup that dies, a coat that must be followed',
    'coat': 'one application: a mist grips, a light one covers, a wet one levels',
    'dead stop': 'where gluing by the booklet must wait for paint',
    'edge': 'where two colours meet: hard along tape, soft over putty, feathered by hand',
    'finding': 'what a rule of the trade has to say about the plan: stop, think again, or worth knowing',
    'flash': 'the short wait between two coats of one paint',
    'ground': 'what lies under a coat and shows through a weak one',
    'hold': 'after a step, hands off a piece until a time',
    'joint': 'where parts meet: a seam must vanish, a line belongs there',
    'ladder': 'the grits one climbs, each until the scratches of the last are gone',
    'now line': 'the thick stair in Layers: it lies above what is really on each area',
    'open': 'its next step can be done now',
    'part': 'one moulding, with its number in the booklet',
    'piece': 'what is held and painted as one: a loose part, or some glued together',
    'pin': 'what you have fixed against the planner: it plans around it',
    'plate': 'a piece as tiles by their size, to see what is sprayed and what is capped',
    'pot life': 'how long a paint lives with hardener in it',
    'pre-shade': 'dark lines under the colour, so that it gains depth',
    'register': 'the masks there are: what, on which piece, which hand, when on and off',
    'ring': 'the amber part of a round mark: how much of a wait is left',
    'round': 'one look over all places of a piece, or one errand done on several',
    'seal': 'a clear coat that shuts decals or a wash in',
    'section': 'a cut through the finish, edge-on: the oldest layer lies lowest',
    'session': 'a time at the bench: an evening, a Sunday morning',
    'shut': 'waits for another step, with no clock to it',
    'sitting': 'work that is begun and ended at one go',
    'slack': 'days between the finish as planned and the show',
    'stage': 'all that is sprayed in one colour before the masks change',
    'step': 'one thing the hands do, from the plan',
    'swatch': 'the small square that shows a paint',
    'take up': 'to change to another model, because the hands do best there',
    'turn-round': 'pieces brought back for the next coat in rotation, so that no wait is idle',
    'window': 'from when and until when the next coat may go on',
};

/** The words of each page that stand there first. */
export const FIRST: Record<string, string[]> = {
    bench: ['hold', 'shut', 'closing', 'turn-round'],
    layers: ['section', 'now line', 'cap', 'finding'],
    kit: ['part', 'piece', 'area', 'joint'],
    booklet: ['call-out', 'dead stop'],
    breakdown: ['piece', 'joint', 'board'],
    surface: ['ladder', 'round'],
    masks: ['cap', 'stage', 'plate', 'register'],
    mix: ['coat', 'ground', 'pot life'],
    runup: ['session', 'sitting', 'slack'],
    log: ['step'],
    house: ['finding'],
};

const KEY = 'amber.met';

export function met(): Set<string> {
    try {
        return new Set(JSON.parse(localStorage.getItem(KEY) ?? '[]') as string[]);
    } catch {
        return new Set();
    }
}

export function meet(words: string[]): void {
    localStorage.setItem(KEY, JSON.stringify([...new Set([...met(), ...words])]));
}
