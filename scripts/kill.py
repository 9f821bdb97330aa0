#!/usr/bin/env python3
"""SIGKILLs while two writers stream in acts with moves, parts and pictures, and while a start, a backup, a restore or an import runs.

scripts/kill.py [KILLS=200] [SEED=1] [STARTS=100] [COPIES=40]      (build first; needs Python 3 and nothing else)

After each kill the garden is started again and asked: is every acknowledged act there once, and whole? A start that takes longer than
10 s counts as stuck. The last line is the figure; the exit code is 1 where anything was lost, doubled, torn or stuck.
"""
import json, os, random, shutil, signal, socket, sqlite3, subprocess, sys, struct, tempfile, threading, time, urllib.request, uuid, zlib

KILLS, SEED, STARTS, COPIES = ([int(a) for a in sys.argv[1:]] + [200, 1, 100, 40][len(sys.argv) - 1:])
random.seed(SEED)
ROOT = os.path.dirname(os.path.dirname(os.path.abspath(__file__)))
PROGRAM = os.path.join(ROOT, "src/BudClock.Web/bin/Release/net10.0/BudClock.Web.dll")
WORK = tempfile.mkdtemp(prefix="bud-clock-kill-")
DATA = os.path.join(WORK, "data")
TAGS = [f"K-{n:02}" for n in range(1, 9)]
GARDEN = {
    "format": "bud-clock-garden", "version": 1, "garden": {"name": "Kills", "latitude": 51.5, "longitude": 0.7},
    "places": [{"code": "south", "name": "South shelf"}, {"code": "north", "name": "North shelf"}],
    "plants": [{"tag": tag, "taxon": "Lycaste aromatica", "place": "south"} for tag in TAGS],
}


OLDER = [
    "DROP TABLE Acts", "DROP TABLE ActChanges", "DROP INDEX IX_Plants_Tag", "DROP INDEX IX_Places_Code",
    *(f"ALTER TABLE {table} DROP COLUMN {column}" for table, columns in {
        "Entries": ["Sets", "Amends", "StruckBy", "By"], "Plants": ["FormerTags", "Removed"], "Places": ["Removed"], "Readings": ["Act", "Struck"],
    }.items() for column in columns),
    "CREATE UNIQUE INDEX IX_Plants_Tag ON Plants (Tag)", "CREATE UNIQUE INDEX IX_Places_Code ON Places (Code)",
    "DELETE FROM __EFMigrationsHistory WHERE MigrationId LIKE '%_Acts'", "PRAGMA user_version = 0",
]


def free_port():
    with socket.socket() as s:
        s.bind(("127.0.0.1", 0))
        return s.getsockname()[1]


PORT = free_port()


def budclock(*args, **more):
    return subprocess.Popen(["dotnet", PROGRAM, *args], stdout=subprocess.DEVNULL, stderr=subprocess.PIPE, **more)


def serve():
    return budclock("serve", "--data", DATA, "--port", str(PORT), "--day", "2031-05-24")


def kill(process):
    if process.poll() is None:
        os.kill(process.pid, signal.SIGKILL)
    process.wait()


def ask(path, timeout=10):
    return urllib.request.urlopen(f"http://127.0.0.1:{PORT}{path}", timeout=timeout)


def up(process, within=10):
    """Seconds until it answers; None where it does not."""
    began = time.time()
    while time.time() - began < within and process.poll() is None:
        try:
            ask("/healthz", 2).read()
            return time.time() - began
        except OSError:
            time.sleep(0.02)
    return None


def png(width, height):
    def part(kind, data):
        return struct.pack(">I", len(data)) + kind + data + struct.pack(">I", zlib.crc32(kind + data))
    rows = b"".join(b"\0" + bytes(random.randrange(256) for _ in range(3 * width)) for _ in range(height))
    return b"\x89PNG\r\n\x1a\n" + part(b"IHDR", struct.pack(">IIBBBBB", width, height, 8, 2, 0, 0, 0)) + part(b"IDAT", zlib.compress(rows)) + part(b"IEND", b"")


class Browser:
    """Just enough of one to send a form with its token."""

    def __init__(self):
        self.opener = urllib.request.build_opener(urllib.request.HTTPCookieProcessor())
        page = self.opener.open(f"http://127.0.0.1:{PORT}/garden", timeout=10).read().decode()
        self.token = page.split('name="__RequestVerificationToken" type="hidden" value="')[1].split('"')[0]

    def picture(self, tag, caption, act):
        mark = uuid.uuid4().hex
        fields = {"caption": caption, "act": act, "__RequestVerificationToken": self.token}
        body = b"".join(f'--{mark}\r\nContent-Disposition: form-data; name="{k}"\r\n\r\n{v}\r\n'.encode() for k, v in fields.items())
        for name in ("a", "b"):  # two pictures are one act
            body += f'--{mark}\r\nContent-Disposition: form-data; name="files"; filename="{name}.png"\r\n\r\n'.encode() + png(40, 30) + b"\r\n"
        body += f"--{mark}--\r\n".encode()
        request = urllib.request.Request(f"http://127.0.0.1:{PORT}/plants/{tag}?handler=Picture", body, {"Content-Type": f"multipart/form-data; boundary={mark}"})
        return self.opener.open(request, timeout=10).status == 200


sent, acked, lock = {}, set(), threading.Lock()   # mark -> how many entries it has; marks that were acknowledged
errors = []


def note(text, act):
    body = json.dumps({"text": text, "act": act}).encode()
    request = urllib.request.Request(f"http://127.0.0.1:{PORT}/api/notes", body, {"Content-Type": "application/json"})
    return json.load(urllib.request.urlopen(request, timeout=10))["logged"]


def write(stop, number):
    browser, n = None, 0
    while not stop.is_set():
        n += 1
        mark, act = f"mark-{random.getrandbits(60):x}", str(uuid.uuid4())
        tags = random.sample(TAGS, random.choice([1, 1, 3]))
        deed = random.choice(["note", "part", "move", "picture"])
        try:
            if deed == "picture":
                browser = browser or Browser()
                with lock:
                    sent[mark] = 2
                good = browser.picture(tags[0], mark, act)
            else:
                with lock:
                    sent[mark] = len(tags)
                what = {"note": "soaked 300 ml", "part": "spike 12 cm", "move": f"moved to the {random.choice(['south', 'north'])} shelf"}[deed]
                text = f"{', '.join(tags)}: {what}, note {mark}"
                good = note(text, act)
                if random.random() < 0.3:
                    note(text, act)  # no answer came, perhaps: sent again
            if good:
                with lock:
                    acked.add(mark)
        except urllib.error.HTTPError as fault:
            if fault.code >= 500:
                errors.append((fault.code, deed))
            with lock:
                sent.pop(mark, None) if fault.code == 422 else None
        except (OSError, ValueError, KeyError, IndexError):
            browser = None
            time.sleep(0.02)


lost, doubled, torn, stuck, slowest = set(), set(), set(), 0, 0.0


def check():
    garden = json.load(ask("/api/garden", 30))
    there = {}
    for plant in garden["plants"]:
        moves = [e for e in plant["entries"] if e["kind"] == "moved" and not e.get("struck")]
        if moves:
            newest = max(moves, key=lambda e: (e["on"], e["logged"]))
            if not newest["text"].lower().endswith(plant["place"] + " shelf"):
                torn.add(f"{plant['tag']} stands at {plant['place']}, its log says {newest['text']}")
        for entry in plant["entries"]:
            text = entry.get("text") or ""
            if text.startswith("mark-"):
                there[text] = there.get(text, 0) + 1
                if entry.get("file"):
                    for name in (entry["file"], entry["file"][:-4] + "-small.jpg"):
                        path = os.path.join(DATA, "pictures", name)
                        if not os.path.exists(path) or open(path, "rb").read()[-2:] != b"\xff\xd9":
                            torn.add(text)
    with lock:
        lost.update(mark for mark in acked if mark not in there)
        torn.update(mark for mark, count in sent.items() if 0 < there.get(mark, 0) < count)
        doubled.update(mark for mark, count in there.items() if count > sent.get(mark, count))


def start():
    global stuck, slowest
    process = serve()
    took = up(process)
    if took is None:
        stuck += 1
        kill(process)
        print("  stuck:", process.stderr.read().decode()[-300:], flush=True)
        return None
    slowest = max(slowest, took)
    return process


def finish(process):
    process.send_signal(signal.SIGTERM)
    process.wait(20)


with open(os.path.join(WORK, "garden.json"), "w") as file:
    json.dump(GARDEN, file)
assert budclock("import", os.path.join(WORK, "garden.json"), "--data", DATA).wait() == 0, "build first: dotnet build -c Release"

for n in range(KILLS):
    process = start()
    if process is None:
        continue
    check()
    stop = threading.Event()
    writers = [threading.Thread(target=write, args=(stop, k), daemon=True) for k in range(2)]
    for writer in writers:
        writer.start()
    time.sleep(random.uniform(0.05, 1.5))
    kill(process)
    stop.set()
    for writer in writers:
        writer.join(20)
    if n % 25 == 24:
        print(f"  {n + 1} kills, {len(acked)} acts acknowledged, lost {len(lost)}, doubled {len(doubled)}, torn {len(torn)}, stuck {stuck}", flush=True)

process = start()
check()
finish(process)
usual = slowest or 2
for n in range(STARTS):
    process = serve()
    time.sleep(random.uniform(0.1, 1.1) * usual)
    kill(process)
    if n % 10 == 9:
        again = start()
        if again:
            check()
            finish(again)

# In the middle of a migration from the first version, of a backup, a restore and an import.
broken, copies = [], {"migration": 0, "backup": 0, "restore": 0, "import": 0}
whole = os.path.join(WORK, "whole.zip")
assert budclock("backup", whole, "--data", DATA).wait() == 0
for n in range(COPIES):
    what = list(copies)[n % len(copies)]
    copies[what] += 1
    target = os.path.join(WORK, f"copy-{n}")
    if what == "backup":
        process = budclock("backup", target + ".zip", "--data", DATA)
    elif what == "restore":
        process = budclock("restore", whole, "--data", target)
    elif what == "import":
        process = budclock("import", os.path.join(WORK, "garden.json"), "--data", target)
    else:
        shutil.copytree(DATA, target)
        with sqlite3.connect(os.path.join(target, "garden.db")) as db:
            # As the version before acts left it: the start has to bring it up to date.
            for statement in OLDER:
                db.execute(statement)
        process = budclock("export", os.path.join(target, "out.json"), "--data", target)
    time.sleep(random.uniform(0.1, 1.3) * usual)
    kill(process)
    if what == "backup":
        if os.path.exists(target + ".zip") and budclock("check", target + ".zip").wait() != 0:
            broken.append(f"half a backup under its name: {n}")
    elif what == "restore":
        shutil.rmtree(os.path.join(target, "x"), ignore_errors=True)
        if not os.path.exists(os.path.join(target, "garden.db")) and budclock("restore", whole, "--data", target).wait() != 0:
            broken.append(f"a restore that cannot be done again: {n}")
        if budclock("check", "--data", target).wait() != 0:
            broken.append(f"an unsound restore: {n}")
    elif what == "import":
        if budclock("import", os.path.join(WORK, "garden.json"), "--data", target).wait() != 0 or budclock("check", "--data", target).wait() != 0:
            broken.append(f"an import that does not come back: {n}")
    elif budclock("export", os.path.join(target, "out.json"), "--data", target).wait() != 0 or budclock("check", "--data", target).wait() != 0:
        broken.append(f"a migration that does not come back: {n}")

sound = budclock("check", "--data", DATA).wait() == 0
parts = [name for name in os.listdir(os.path.join(DATA, "pictures"))] if os.path.isdir(os.path.join(DATA, "pictures")) else []
for fault in (*list(torn)[:5], *broken[:10], *errors[:5]):
    print("  ", fault)
shutil.rmtree(WORK, ignore_errors=True)
print(
    f"{KILLS} kills, {STARTS} aimed at starts, {COPIES} at {', '.join(copies)}: {len(acked)} acts acknowledged, lost {len(lost)}, doubled {len(doubled)}, "
    f"torn {len(torn)}, stuck {stuck}, broken {len(broken)}, answers 5xx {len(errors)}, slowest start {slowest:.1f} s, database {'sound' if sound else 'UNSOUND'}"
)
sys.exit(1 if lost or doubled or torn or stuck or broken or errors or not sound else 0)
