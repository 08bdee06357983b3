// The cheapest plan there is, by the published price alone: every set of gardens a crew could visit on a day with its
// shortest round (Held and Karp, 1962), and HiGHS, an exact solver, to choose among them. Nothing of the product is
// used.
// Reads a JSON list of instances in the shape of docs/formats/plan-input.schema.json from standard input.
import { readFileSync } from 'node:fs';
import loadHighs from 'highs';

const WEEKDAYS = ['sun', 'mon', 'tue', 'wed', 'thu', 'fri', 'sat'];
const day = text => Date.parse(`${text}T00:00:00Z`) / 86_400_000;
const minutes = clock => 60 * Number(clock.slice(0, 2)) + Number(clock.slice(3));
const weekday = number => WEEKDAYS[new Date(number * 86_400_000).getUTCDay()];

function travel(a, b) {
    const rad = degrees => (degrees * Math.PI) / 180;
    const chord =
        Math.sin(rad(b.lat - a.lat) / 2) ** 2 +
        Math.cos(rad(a.lat)) * Math.cos(rad(b.lat)) * Math.sin(rad(b.lon - a.lon) / 2) ** 2;
    return Math.round((1.3 * 2 * 6371 * Math.asin(Math.sqrt(chord))) / 0.6);
}

/** Minutes of the shortest round from the depot through each set of gardens, by the set's bits. */
function rounds(depot, gardens) {
    const count = gardens.length;
    const way = Array.from({ length: 1 << count }, () => Array(count).fill(Infinity));
    gardens.forEach((garden, i) => (way[1 << i][i] = travel(depot, garden)));
    const shortest = Array(1 << count).fill(0);
    for (let set = 1; set < 1 << count; set++) {
        shortest[set] = Infinity;
        for (let last = 0; last < count; last++) {
            if (way[set][last] === Infinity) continue;
            shortest[set] = Math.min(shortest[set], way[set][last] + travel(gardens[last], depot));
            for (let next = 0; next < count; next++) {
                if (set & (1 << next)) continue;
                const longer = way[set][last] + travel(gardens[last], gardens[next]);
                const both = set | (1 << next);
                way[both][next] = Math.min(way[both][next], longer);
            }
        }
    }
    return shortest;
}

/** The instance as a linear programme in whole numbers, in the LP format. */
function programme(given) {
    const { gardens, tasks, crews, depot } = given;
    const place = Object.fromEntries(gardens.map((garden, index) => [garden.ref, index]));
    const round = rounds(depot, gardens);
    const objective = [];
    const rules = [];
    const whole = [];
    const yesNo = [];
    const bounds = [];
    const placed = tasks.map(() => []);
    for (let on = day(given.horizon.from); on <= day(given.horizon.to); on++) {
        crews.forEach((crew, k) => {
            const hours = crew.week[weekday(on)];
            if (!hours || (crew.off ?? []).map(day).includes(on)) return;
            const length = minutes(hours[1]) - minutes(hours[0]);
            const most = length + (crew.overtime ? 60 : 0);
            const at = `${k}_${on}`;
            const can = tasks
                .map((task, index) => ({ ...task, index, place: place[task.garden] }))
                .filter(
                    task =>
                        day(task.opens) <= on && on <= day(task.closes) &&
                        (task.skills ?? []).every(skill => (crew.skills ?? []).includes(skill)) &&
                        !(gardens[task.place].closed ?? []).includes(weekday(on)) &&
                        !(gardens[task.place].off ?? []).some(off => day(off) === on),
                );
            const here = [...new Set(can.map(task => task.place))];
            if (here.length === 0) return;
            const all = here.reduce((set, garden) => set | (1 << garden), 0);
            const sets = [];
            for (let set = all; set > 0; set = (set - 1) & all) {
                const setUp = gardens.reduce((sum, garden, i) => sum + (set & (1 << i) ? garden.setup ?? 0 : 0), 0);
                if (round[set] + setUp <= most) sets.push([set, round[set] + setUp]);
            }
            if (sets.length === 0) return;
            const total = [];
            for (const [set, took] of sets) {
                objective.push(`${took} y${at}_${set}`);
                total.push(`${took} y${at}_${set}`);
                yesNo.push(`y${at}_${set}`);
            }
            rules.push(`${sets.map(([set]) => `y${at}_${set}`).join(' + ')} <= 1`);
            for (const garden of here) {
                const visited = sets.filter(([set]) => set & (1 << garden)).map(([set]) => `y${at}_${set}`);
                const work = can.filter(task => task.place === garden);
                whole.push(`z${at}_${garden}`);
                bounds.push(`0 <= z${at}_${garden} <= ${most}`);
                total.push(`1 z${at}_${garden}`);
                const shared = work.map(task => `${task.minutes} x${at}_${task.index}`).join(' - ');
                rules.push(`${crew.people} z${at}_${garden} - ${shared} >= 0`);
                for (const task of work) {
                    const out = Math.max(0, day(task.best_from) - on, on - day(task.best_to));
                    const wish = gardens[garden].wished ?? [];
                    const unasked = wish.length > 0 && !wish.includes(weekday(on)) ? 8 : 0;
                    objective.push(`${(task.weight ?? 1) * (4 * out + unasked)} x${at}_${task.index}`);
                    yesNo.push(`x${at}_${task.index}`);
                    placed[task.index].push(`x${at}_${task.index}`);
                    rules.push(`x${at}_${task.index}${visited.map(name => ` - ${name}`).join('')} <= 0`);
                }
            }
            rules.push(`${total.join(' + ')} - 1 o${at} <= ${length}`);
            bounds.push(`0 <= o${at} <= ${most - length}`);
            objective.push(`1.5 o${at}`);
        });
    }
    tasks.forEach((task, index) => {
        objective.push(`${10000 * (task.weight ?? 1)} u${index}`);
        yesNo.push(`u${index}`);
        rules.push(`${[...placed[index], `u${index}`].join(' + ')} = 1`);
    });
    return [
        'Minimize', ` obj: ${objective.join(' + ')}`,
        'Subject To', ...rules.map((rule, index) => ` r${index}: ${rule}`),
        'Bounds', ...bounds.map(bound => ` ${bound}`),
        'General', ` ${whole.join(' ')}`,
        'Binary', ` ${yesNo.join(' ')}`,
        'End',
    ].join('\n');
}

const highs = await loadHighs();
const answers = JSON.parse(readFileSync(0, 'utf8')).map(given => {
    const solved = highs.solve(programme(given), { mip_rel_gap: 0, mip_abs_gap: 0, time_limit: 120 });
    if (solved.Status !== 'Optimal') throw new Error(`not solved: ${solved.Status}`);
    return solved.ObjectiveValue;
});
console.log(JSON.stringify(answers));
