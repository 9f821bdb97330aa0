using System.Globalization;
using BudClock.Core.Climate;
using BudClock.Data;
using BudClock.Web.Outside;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Places;

/// <summary>Devices that send readings, their tokens, and the broker.</summary>
public sealed class DevicesModel(
    TodaysGarden todaysGarden,
    GardenStore store,
    ReadingIntake intake,
    Logbook logbook,
    OutsideSettings settings,
    MqttListener listener
) : GardenPage(todaysGarden)
{
    const string TokenKey = "token";
    const string TokenName = "token of";

    /// <summary>The place that a new device is to hang at.</summary>
    [BindProperty(SupportsGet = true)]
    public string? At { get; set; }

    [BindProperty]
    public DeviceForm Form { get; set; } = new();

    [BindProperty]
    public BrokerForm Broker { get; set; } = new();

    public IReadOnlyList<DeviceState> States { get; private set; } = [];
    public string? Fault { get; private set; }
    public string? Token { get; private set; }
    public string? TokenOf { get; private set; }
    public bool HasPassword { get; private set; }
    public string Address => $"{Request.Scheme}://{Request.Host}";

    /// <summary>The form of a new device, as it was typed where it was refused.</summary>
    public DeviceForm Fresh => Fault is not null && Form is { Name: not null, Code: null } ? Form : new() { Place = At };

    HashSet<string> laidOut = [];

    /// <summary>How its file is laid out is known.</summary>
    public bool HasLayout(Device device) => laidOut.Contains(device.Code);

    /// <summary>A device's form, as it was typed where it was refused.</summary>
    public DeviceForm FormOf(Device device) => Fault is not null && Form.Code == device.Code ? Form : DeviceForm.Of(device);

    /// <summary>What there is to say of the broker.</summary>
    public string BrokerState =>
        listener.Trouble
        ?? (listener.Connected ? "Connected." : "Nothing is connected: it is called once an address is set and a device speaks to it.");

    public async Task OnGetAsync()
    {
        (Token, TokenOf) = (TempData[TokenKey] as string, TempData[TokenName] as string);
        await ShowAsync();
    }

    async Task ShowAsync()
    {
        States = await intake.StatesAsync(Today.Devices);
        laidOut = [.. (await store.DevicesAsync()).Where(kept => kept.Layout is not null).Select(kept => kept.Device.Code)];
        var broker = await settings.BrokerAsync();
        HasPassword = broker?.Password is not null;
        if (Broker.Host is null && broker is not null)
            Broker = new()
            {
                Host = broker.Host,
                Port = broker.Port.ToString(CultureInfo.InvariantCulture),
                User = broker.User,
            };
    }

    /// <summary>Adds a device, or changes one.</summary>
    public async Task<IActionResult> OnPostAsync()
    {
        if (Form.Code is not null && Today.Devices.All(device => device.Code != Form.Code))
            return await WrongAsync("That device is not there any more.");
        var (device, fault) = Form.Read(Today);
        if (device is null)
            return await WrongAsync(fault!);
        var token = Form.Code is null && device.Way == Device.Http ? DeviceToken.New() : default;
        return await SavedAsync(device, $"Device {device.Name}", Changes.Device(device, token.Hash), token.Token);
    }

    /// <summary>Makes a new token; the old one is worth nothing from then on.</summary>
    public async Task<IActionResult> OnPostTokenAsync()
    {
        if (Today.Devices.FirstOrDefault(known => known.Code == Form.Code) is not { } device)
            return await WrongAsync("That device is not there any more.");
        var (token, hash) = DeviceToken.New();
        return await SavedAsync(
            device,
            await logbook.SecretAsync(Act, $"the new token of {device.Name}", Changes.Device(device, hash)),
            token
        );
    }

    /// <summary>Takes a device away; what it sent stays.</summary>
    public async Task<IActionResult> OnPostRemoveAsync()
    {
        if (Today.Devices.FirstOrDefault(known => known.Code == Form.Code) is not { } device)
            return await WrongAsync("That device is not there any more.");
        return await SavedAsync(device, $"Device {device.Name} taken away", Changes.WithoutDevice(device.Code), null);
    }

    /// <summary>Keeps the broker, and calls it.</summary>
    public async Task<IActionResult> OnPostBrokerAsync()
    {
        var host = Broker.Host?.Trim() ?? "";
        if (host.Length > 200 || host.Any(c => char.IsWhiteSpace(c) || c is '/'))
            return await WrongAsync($"\"{host}\" is no address of a broker; write it as 192.168.0.10 or broker.local.");
        if (!int.TryParse(Broker.Port, CultureInfo.InvariantCulture, out var port) || port is < 1 or > 65_535)
            return await WrongAsync($"\"{Broker.Port}\" is no port from 1 to 65535.");
        var known = await settings.BrokerAsync();
        var password = string.IsNullOrEmpty(Broker.Password) ? known?.Password : settings.Seal(Broker.Password);
        var user = string.IsNullOrWhiteSpace(Broker.User) ? null : Broker.User.Trim();
        var outcome = await logbook.WriteAsync(
            Act,
            "The broker",
            OutsideSettings.Keep(new BrokerSettings(host, port, user, user is null ? null : password))
        );
        if (!outcome.Done)
            return await WrongAsync(outcome.Trouble!);
        settings.Tell();
        return RedirectToPage();
    }

    async Task<IActionResult> SavedAsync(Device device, string words, Change change, string? token) =>
        await SavedAsync(device, await logbook.WriteAsync(Act, words, change), token);

    async Task<IActionResult> SavedAsync(Device device, Outcome outcome, string? token)
    {
        if (!outcome.Done)
            return await WrongAsync(outcome.Trouble!);
        intake.Forget(device.Code);
        settings.Tell();
        (TempData[TokenKey], TempData[TokenName]) = (token, device.Name);
        return RedirectToPage(new { at = At });
    }

    async Task<IActionResult> WrongAsync(string fault)
    {
        Fault = fault;
        await ShowAsync();
        return Page();
    }
}
