using System.Diagnostics;

namespace BudClock.Web.Tests.Browser;

/// <summary>Readers that are not the writer: pdftotext, pdfinfo, zbarimg.</summary>
static class Programs
{
    /// <summary>What a program prints.</summary>
    public static async Task<string> RunAsync(string program, params string[] arguments)
    {
        using var process = Process.Start(
            new ProcessStartInfo(program, arguments) { RedirectStandardOutput = true, RedirectStandardError = true }
        )!;
        return await process.StandardOutput.ReadToEndAsync(TestContext.Current.CancellationToken);
    }
}
