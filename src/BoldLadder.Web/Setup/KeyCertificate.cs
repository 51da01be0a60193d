using System.Security.Cryptography;
using System.Security.Cryptography.X509Certificates;
using Microsoft.AspNetCore.DataProtection;

namespace BoldLadder.Web.Setup;

/// <summary>
/// The keys that cookies are sealed with lie in the database; they are encrypted for a certificate that does not, so
/// that reading the database is not enough to make a cookie. Setting <c>KeyCertificate</c> names its file, which is
/// made when it is not there.
/// </summary>
public static class KeyCertificate
{
    private const int Bits = 3072;
    private const int Years = 30;

    public static IDataProtectionBuilder ProtectKeysOutsideTheDatabase(
        this IDataProtectionBuilder builder,
        IConfiguration configuration
    ) =>
        configuration["KeyCertificate"] is { Length: > 0 } file
            ? builder.ProtectKeysWithCertificate(Open(file))
            : builder;

    private static X509Certificate2 Open(string file)
    {
        if (!File.Exists(file))
            Make(file);
        return X509CertificateLoader.LoadPkcs12FromFile(file, password: null);
    }

    private static void Make(string file)
    {
        using var key = RSA.Create(Bits);
        var request = new CertificateRequest(
            "CN=Bold Ladder keys",
            key,
            HashAlgorithmName.SHA256,
            RSASignaturePadding.Pkcs1
        );
        using var certificate = request.CreateSelfSigned(
            DateTimeOffset.UtcNow.AddDays(-1),
            DateTimeOffset.UtcNow.AddYears(Years)
        );
        var options = new FileStreamOptions { Mode = FileMode.CreateNew, Access = FileAccess.Write };
        if (!OperatingSystem.IsWindows())
            options.UnixCreateMode = UnixFileMode.UserRead | UnixFileMode.UserWrite;
        using var stream = new FileStream(file, options);
        stream.Write(certificate.Export(X509ContentType.Pkcs12));
    }
}
