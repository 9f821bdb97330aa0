using System.Net;
using System.Text.RegularExpressions;

namespace BudClock.Web.Tests.Browser;

/// <summary>Looks at a page as an eye would: does anything lie over anything, is a word cut, can each control be reached?</summary>
static partial class Laid
{
    public static readonly int[] Widths = [390, 768, 1280];

    /// <summary>What is wrong with the pages of a garden, a line each, with page, width and words.</summary>
    public static IReadOnlyList<string> Faults(string address, IEnumerable<string> pages)
    {
        var faults = new List<string>();
        using var browser = new Chromium(address);
        foreach (var page in pages)
        {
            browser.Resize(Widths[^1]).Open(page);
            foreach (var width in Widths)
                faults.AddRange(Look(browser.Resize(width)).Select(found => $"{page} at {width}: {found}"));
            faults.AddRange(browser.ConsoleErrors.Select(error => $"{page}: {error}"));
        }
        return faults;
    }

    /// <summary>What is wrong with the page that stands in the browser now.</summary>
    public static IEnumerable<string> Look(Chromium browser) => ((IEnumerable<object>)browser.Run(Eye)!).Select(found => (string)found);

    /// <summary>One page of each kind that a link leads to, from the Round on, and the links that lead nowhere.</summary>
    public static async Task<(IReadOnlyList<string> Pages, IReadOnlyList<string> Dead)> WalkAsync(Site site)
    {
        var (pages, dead) = (new Dictionary<string, string>(), new List<string>());
        var ahead = new Queue<string>(["/"]);
        var known = new HashSet<string> { "/" };
        while (ahead.TryDequeue(out var path))
        {
            using var answer = await site.Http.GetAsync(path);
            if (answer.StatusCode >= HttpStatusCode.BadRequest)
                dead.Add($"{path}: {(int)answer.StatusCode}");
            if (answer.StatusCode is not HttpStatusCode.OK || answer.Content.Headers.ContentType?.MediaType != "text/html")
                continue;
            pages.TryAdd(Kind(path), path);
            foreach (Match link in Link().Matches(await answer.Content.ReadAsStringAsync()))
            {
                var to = WebUtility.HtmlDecode(link.Groups["to"].Value);
                if (!File().IsMatch(to) && known.Add(Kind(to)))
                    ahead.Enqueue(to);
            }
        }
        return ([.. pages.Values], dead);
    }

    /// <summary>Pages that differ by a plant, a place, a sheet, a tray or a number only are of one kind.</summary>
    static string Kind(string path)
    {
        path = path.Split('?')[0];
        path = Regex.Replace(path, "^/plants/(?!new|list)[^/]+", "/plants/*");
        path = Regex.Replace(path, "^/places/(?!fit|devices|forecast|readings|file)[^/]+", "/places/*");
        path = Regex.Replace(path, "^/(sheets|trays|triggers/programmes|mixing/(?:batches|labels|recipes|waters|feeds))/[^/]+", "/$1/*");
        return Regex.Replace(path, "/([0-9a-fA-F-]{8,}|[0-9]+)(?=/|$)", "/*");
    }

    [GeneratedRegex("href=\"(?<to>/[^\"#]*)")]
    private static partial Regex Link();

    /// <summary>What is no page: files, and the calendar's secret address.</summary>
    [GeneratedRegex(@"\.(css|js|svg|ico|png|jpg|webmanifest|ics|json|csv|zip|woff2)(\?|$)|^/api/|handler=")]
    private static partial Regex File();

    /// <summary>
    /// Words over words, words cut by their box, a page that scrolls sideways, and controls that something else would be pressed instead of.
    /// A box that says data-scrolls is a drawing, which cannot wrap.
    /// </summary>
    const string Eye = """
        const faults = new Set();
        const short = (words) => words.trim().replace(/\s+/g, ' ').slice(0, 50);
        const name = (e) => short(e.innerText || e.getAttribute('aria-label') || e.name || e.tagName);
        const pinned = (e) => { for (; e; e = e.parentElement) if (/fixed|sticky/.test(getComputedStyle(e).position)) return e; return null; };
        const seen = (e) => e.checkVisibility({ opacityProperty: true, visibilityProperty: true, contentVisibilityAuto: true })
          && !e.closest('.visually-hidden, .visually-hidden-focusable, dialog:not([open])');
        for (const fold of document.querySelectorAll('main details')) fold.open = true;
        scrollTo({ top: 0, behavior: 'instant' });

        // The box of each line of words, as far as the boxes around it let it show.
        const cutTo = (box, e) => {
          let { left, right, top, bottom } = box;
          for (let at = e; at && at !== document.body; at = at.parentElement) {
            const style = getComputedStyle(at);
            if (style.clipPath !== 'none') return null;
            if (style.overflow === 'visible') continue;
            const frame = at.getBoundingClientRect();
            [left, right] = [Math.max(left, frame.left), Math.min(right, frame.right)];
            [top, bottom] = [Math.max(top, frame.top), Math.min(bottom, frame.bottom)];
          }
          return right - left < 3 || bottom - top < 3 ? null : { left, right, top, bottom };
        };
        const lines = [];
        const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
        for (let node = walk.nextNode(); node; node = walk.nextNode()) {
          const e = node.parentElement;
          if (!node.data.trim() || /SCRIPT|STYLE|NOSCRIPT|OPTION|TITLE|TEXTAREA/.test(e.tagName.toUpperCase()) || !seen(e) || pinned(e)) continue;
          const range = document.createRange();
          range.selectNodeContents(node);
          for (const rect of range.getClientRects()) {
            const box = cutTo(rect, e);
            // The upper and lower fifth of a line are air.
            if (box) lines.push({ e, words: short(node.data), ...box, air: (box.bottom - box.top) / 5 });
          }
        }
        lines.sort((a, b) => a.top - b.top);
        lines.forEach((a, i) => {
          for (let j = i + 1; j < lines.length && lines[j].top < a.bottom; j++) {
            const b = lines[j];
            if (a.e === b.e && a.words === b.words) continue;
            const across = Math.min(a.right, b.right) - Math.max(a.left, b.left) - 2;
            const down = Math.min(a.bottom - a.air, b.bottom - b.air) - Math.max(a.top + a.air, b.top + b.air);
            if (across > 3 && down > 3) faults.add(`"${a.words}" lies over "${b.words}"`);
          }
        });

        for (const e of document.querySelectorAll('body *')) {
          if (e.clientWidth === 0 || e.scrollWidth <= e.clientWidth + 2 || e.closest('svg, [data-scrolls]') || pinned(e)) continue;
          if (/INPUT|TEXTAREA|SELECT/.test(e.tagName) || getComputedStyle(e).overflowX === 'visible' || !seen(e) || !e.innerText?.trim()) continue;
          faults.add(`"${short(e.innerText)}" is cut by ${e.scrollWidth - e.clientWidth} px`);
        }
        const wide = document.documentElement.scrollWidth - document.documentElement.clientWidth;
        if (wide > 1) faults.add(`the page is ${wide} px too wide`);

        // Controls are brought well into view as a person would; what is pressed there has to be it, its label, or part of it.
        const pressed = (e) => {
          const box = [...e.getClientRects()].find((rect) => rect.width > 3 && rect.height > 3);
          const hit = box && document.elementFromPoint(box.left + box.width / 2, box.top + box.height / 2);
          return !hit || e.contains(hit) || hit.contains(e) || [...(e.labels ?? [])].some((label) => label.contains(hit)) ? null : hit;
        };
        const controls = [...document.querySelectorAll('a[href], button, input:not([type=hidden]), select, textarea, summary')]
          .filter((e) => seen(e) && !e.closest('svg'));
        const loose = controls.filter((e) => !pinned(e)).map((e) => ({ e, at: (e.getClientRects()[0]?.top ?? 0) }));
        for (let down = 0; down < document.documentElement.scrollHeight; down += 400) {
          const here = loose.filter(({ at }) => at >= down && at < down + 400);
          if (here.length === 0) continue;
          scrollTo({ top: down - 200, behavior: 'instant' });
          for (const { e } of here) {
            const over = pressed(e);
            if (over) faults.add(`"${name(e)}" lies beneath "${name(over)}"`);
          }
        }
        for (const scrolled of [0, 600]) {
          scrollTo({ top: scrolled, behavior: 'instant' });
          for (const e of controls.filter(pinned)) {
            const over = pressed(e);
            if (over) faults.add(`scrolled by ${scrolled}, "${name(e)}" lies beneath "${name(over)}"`);
          }
        }
        scrollTo({ top: 0, behavior: 'instant' });
        return [...faults];
        """;
}
