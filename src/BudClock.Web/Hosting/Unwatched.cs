using Microsoft.Extensions.FileProviders;
using Microsoft.Extensions.Primitives;

namespace BudClock.Web.Hosting;

/// <summary>The files that ship with the application: they never change while it runs, so nobody waits for it.</summary>
sealed class Unwatched(IFileProvider files) : IFileProvider
{
    public IFileInfo GetFileInfo(string subpath) => files.GetFileInfo(subpath);

    public IDirectoryContents GetDirectoryContents(string subpath) => files.GetDirectoryContents(subpath);

    public IChangeToken Watch(string filter) => NullChangeToken.Singleton;
}
