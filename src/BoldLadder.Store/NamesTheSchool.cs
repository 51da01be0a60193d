using System.Data.Common;
using Microsoft.EntityFrameworkCore.Diagnostics;

namespace BoldLadder.Store;

/// <summary>
/// Sends who asks and for which school along with the first command after <see cref="BoldContext.EnterSchool"/>, so
/// that naming them costs no way to the database of its own. Until it is sent nothing has been asked, so row-level
/// security never sees a command without them.
/// </summary>
internal sealed class NamesTheSchool : DbCommandInterceptor
{
    public static readonly NamesTheSchool It = new();

    public override InterceptionResult<DbDataReader> ReaderExecuting(
        DbCommand command,
        CommandEventData eventData,
        InterceptionResult<DbDataReader> result
    )
    {
        Prefix(command, eventData);
        return result;
    }

    public override ValueTask<InterceptionResult<DbDataReader>> ReaderExecutingAsync(
        DbCommand command,
        CommandEventData eventData,
        InterceptionResult<DbDataReader> result,
        CancellationToken cancellationToken = default
    )
    {
        Prefix(command, eventData);
        return ValueTask.FromResult(result);
    }

    public override InterceptionResult<int> NonQueryExecuting(
        DbCommand command,
        CommandEventData eventData,
        InterceptionResult<int> result
    )
    {
        Prefix(command, eventData);
        return result;
    }

    public override ValueTask<InterceptionResult<int>> NonQueryExecutingAsync(
        DbCommand command,
        CommandEventData eventData,
        InterceptionResult<int> result,
        CancellationToken cancellationToken = default
    )
    {
        Prefix(command, eventData);
        return ValueTask.FromResult(result);
    }

    public override InterceptionResult<object> ScalarExecuting(
        DbCommand command,
        CommandEventData eventData,
        InterceptionResult<object> result
    )
    {
        Prefix(command, eventData);
        return result;
    }

    public override ValueTask<InterceptionResult<object>> ScalarExecutingAsync(
        DbCommand command,
        CommandEventData eventData,
        InterceptionResult<object> result,
        CancellationToken cancellationToken = default
    )
    {
        Prefix(command, eventData);
        return ValueTask.FromResult(result);
    }

    private static void Prefix(DbCommand command, CommandEventData data)
    {
        if ((data.Context as BoldContext)?.TakeName() is not { } named)
            return;
        // Ids are what Guid writes: nothing in them could end the text.
        var naming = $"set local app.user_id = '{named.User}'; set local app.school_id = '{named.School}';";
        if (data.CommandSource != CommandSource.SaveChanges)
        {
            command.CommandText = $"{naming}\n{command.CommandText}";
            return;
        }
        // What saves counts its own statements: it gets no others among them.
        using var alone = command.Connection!.CreateCommand();
        (alone.Transaction, alone.CommandText) = (command.Transaction, naming);
        alone.ExecuteNonQuery();
    }
}
