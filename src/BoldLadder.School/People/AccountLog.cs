using BoldLadder.School.Schools;
using BoldLadder.Store;

namespace BoldLadder.School.People;

/// <summary>What happens at the door and with accounts, for leads to read; saved by who calls.</summary>
public sealed class AccountLog(BoldContext store, Clock clock)
{
    /// <param name="user">Null where no account has the address that was typed.</param>
    public void Record(string action, Guid? user) =>
        store.AccountEvents.Add(
            new AccountEvent
            {
                Id = Guid.CreateVersion7(),
                UserId = user,
                At = clock.UtcNow,
                Action = action,
            }
        );
}
