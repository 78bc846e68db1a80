require "openssl"

# A file that whoever finds it cannot read: AES-256-GCM in pieces, by a key that scrypt makes of a passphrase (RFC
# 7914). Each piece is numbered and the last one says so, so that none can be left out, moved or cut off (the STREAM
# construction, Hoang et al. 2015). What is read was written with this passphrase, or is refused.
class Shop::Backup::Sealed
  MAGIC = "rhexon-sealed/1\n".b
  SALT, PREFIX, TAG = 16, 8, 16
  PIECE = 1.megabyte
  # 32 MB and a tenth of a second for each try.
  SCRYPT = { N: 2**15, r: 8, p: 1, length: 32 }.freeze
  MOST_PIECES = 2**32 - 1

  # @param passphrase [String]
  def initialize(passphrase)
    @passphrase = passphrase
  end

  # @param from, into [Pathname]
  def seal!(from, into)
    salt, prefix = OpenSSL::Random.random_bytes(SALT), OpenSSL::Random.random_bytes(PREFIX)
    key = key(salt)
    write(into) do |out|
      out.write(MAGIC, salt, prefix)
      from.open("rb") do |input|
        pieces(input, PIECE) do |piece, number, last|
          cipher = cipher(:encrypt, key, prefix, number, last)
          out.write(piece.empty? ? "" : cipher.update(piece), cipher.final, cipher.auth_tag(TAG))
        end
      end
    end
  end

  # @param from, into [Pathname]
  # @raise [Shop::Backup::Unsound] with another passphrase, or where it was changed or cut off
  def unseal!(from, into)
    from.open("rb") do |input|
      refuse(from, "is not sealed by Rhexon") unless input.read(MAGIC.bytesize) == MAGIC
      salt, prefix = input.read(SALT).to_s, input.read(PREFIX).to_s
      key = key(salt)
      write(into) do |out|
        pieces(input, PIECE + TAG) do |piece, number, last|
          refuse(from, "is cut off") if piece.bytesize < TAG
          cipher = cipher(:decrypt, key, prefix, number, last)
          cipher.auth_tag = piece.byteslice(-TAG, TAG)
          sealed = piece.byteslice(0, piece.bytesize - TAG)
          out.write(sealed.empty? ? "" : cipher.update(sealed), cipher.final)
        end
      end
    end
  rescue OpenSSL::Cipher::CipherError
    refuse(from, "was sealed with another passphrase, or was changed")
  end

  private

  def key(salt) = OpenSSL::KDF.scrypt(@passphrase, salt: salt, **SCRYPT)

  def cipher(way, key, prefix, number, last)
    OpenSSL::Cipher.new("aes-256-gcm").public_send(way).tap do |cipher|
      cipher.key = key
      cipher.iv = prefix + [ number ].pack("N")
      cipher.auth_data = last ? "last" : "more"
    end
  end

  # @yieldparam piece [String], number [Integer], last [Boolean]
  def pieces(input, size)
    number = 0
    piece = input.read(size) || "".b
    loop do
      following = input.read(size)
      yield piece, number, following.nil?
      return unless following

      piece = following
      number += 1
    end
  end

  # Under another name until it is whole.
  def write(into)
    half = Pathname("#{into}.half")
    half.open("wb", 0o600) { |out| yield out }
    File.rename(half, into)
  ensure
    FileUtils.rm_f(half)
  end

  def refuse(from, why)
    raise Shop::Backup::Unsound.new("#{from.basename} #{why}", where: "backup", accepted: "another copy of it")
  end
end
