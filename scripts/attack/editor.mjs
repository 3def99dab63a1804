import { randomUUID } from 'node:crypto';
import { Agent, request } from 'node:http';

const agent = new Agent({ keepAlive: true });
/** As little of a client as there can be: it shares the processors with what is measured. */
const post = (url, path, body, cookie) =>
  new Promise((done, fail) => {
    const headers = { 'content-type': 'application/json', origin: url, ...(cookie ? { cookie } : {}) };
    const asked = request(url + path, { agent, method: 'POST', headers }, (answer) => {
      let text = '';
      answer.on('data', (data) => (text += data));
      answer.on('end', () => done({ status: answer.statusCode, text, cookies: answer.headers['set-cookie'] ?? [] }));
    });
    asked.on('error', fail);
    asked.end(JSON.stringify(body));
  });

/** An editor of a show of its own: makes edits of one name, and sends them as the browser does. */
export class Editor {
  #base = 0;
  #made = 0;
  #before = null;
  #supply = randomUUID();
  constructor(url, show, cookie) {
    Object.assign(this, { url, show, cookie });
  }
  static async begin(url) {
    const made = await post(url, '/api/shows', { name: 'Saves' });
    return new Editor(url, JSON.parse(made.text).id, made.cookies.map((c) => c.split(';')[0]).join('; '));
  }
  edit() {
    const row = { name: `Supply ${this.#made++}`, emf: 0, ohm: 0.1, dimmers: false };
    const op = this.#before
      ? { op: 'set', table: 'supplies', id: this.#supply, path: ['name'], from: this.#before.name, to: row.name }
      : { op: 'add', table: 'supplies', id: this.#supply, value: row };
    this.#before = row;
    return { id: randomUUID(), label: { code: 'set', subject: 'Supply' }, ops: [op] };
  }
  async send(edits) {
    const body = { base: this.#base, edits: edits.map((edit) => ({ edit, kind: 'do', of: null })) };
    // Who hears nothing sends the same again, as the browser does: an edit has its id, and is taken once.
    const sent = () => post(this.url, `/api/shows/${this.show}/edits`, body, this.cookie);
    const answer = await sent().catch(() => sent());
    if (answer.status !== 200) throw new Error(`An edit was not saved: ${answer.status} ${answer.text}`);
    this.#base += edits.length;
  }
}
