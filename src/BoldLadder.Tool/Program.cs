using System.Text;
using BoldLadder.Tool.Commands;
using BoldLadder.Tool.Input;

Console.OutputEncoding = new UTF8Encoding(false);
using var output = new StreamWriter(Console.OpenStandardOutput(), new UTF8Encoding(false), 1 << 16);
try
{
    var status = CommandTable.Run(args, new Session(Console.OpenStandardInput(), output, Console.Error));
    output.Flush();
    return status;
}
catch (UsageException problem)
{
    Console.Error.WriteLine(problem.Message);
    return 2;
}
catch (IOException)
{
    // Whoever read the output has gone (bold check | head): nothing is left to say.
    return 0;
}
