using BudClock.Core.Mixing;
using Microsoft.AspNetCore.Mvc;
using QRCoder;

namespace BudClock.Web.Pages.Mixing;

/// <summary>A label to print and stick on a bottle; its QR leads to the batch.</summary>
public sealed class LabelModel(TodaysGarden todaysGarden, Logbook logbook) : MixingPage(todaysGarden, logbook)
{
    const int PixelsPerModule = 4;

    public Batch Batch { get; private set; } = null!;

    public Recipe? Recipe => Shelf.Recipe(Batch.Recipe);

    /// <summary>The batch's page, as this browser knows it.</summary>
    public string Address => $"{Request.Scheme}://{Request.Host}/mixing/batches/{Batch.Code}";

    /// <summary>The QR as an SVG (ISO/IEC 18004), with a quarter of it to spare for dirt.</summary>
    public string Qr
    {
        get
        {
            using var data = QRCodeGenerator.GenerateQrCode(Address, QRCodeGenerator.ECCLevel.Q);
            return new SvgQRCode(data).GetGraphic(PixelsPerModule);
        }
    }

    public IActionResult OnGet(string code)
    {
        if (Shelf.Batch(code) is not { } batch)
            return NotFound();
        Batch = batch;
        return Page();
    }
}
