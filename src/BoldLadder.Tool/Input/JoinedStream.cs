namespace BoldLadder.Tool.Input;

/// <summary>A stream of which the first bytes were read already: it gives them once more.</summary>
public sealed class JoinedStream(ReadOnlyMemory<byte> begin, Stream rest) : Stream
{
    private ReadOnlyMemory<byte> left = begin;

    public override bool CanRead => true;

    public override bool CanSeek => false;

    public override bool CanWrite => false;

    public override long Length => throw new NotSupportedException();

    public override long Position
    {
        get => throw new NotSupportedException();
        set => throw new NotSupportedException();
    }

    public override int Read(Span<byte> buffer)
    {
        if (left.IsEmpty)
            return rest.Read(buffer);
        var count = Math.Min(buffer.Length, left.Length);
        left.Span[..count].CopyTo(buffer);
        left = left[count..];
        return count;
    }

    public override int Read(byte[] buffer, int offset, int count) => Read(buffer.AsSpan(offset, count));

    public override void Flush() { }

    public override long Seek(long offset, SeekOrigin origin) => throw new NotSupportedException();

    public override void SetLength(long value) => throw new NotSupportedException();

    public override void Write(byte[] buffer, int offset, int count) => throw new NotSupportedException();
}
