# frozen_string_literal: true

require "base64"
require "digest"
require "fileutils"
require "vips"

# A photograph of a pit, a horizon or a ribbon. The picture lies in a folder beside the database, under its digest,
# written anew from its pixels: whatever else the file carried, the place it was taken at among it, is left behind.
class Photo < ApplicationRecord
  include Deletable
  extend PhotoOwners

  Vips.block_untrusted(true) # loaders that were never meant for strangers' files

  OWNERS = PhotoOwners::OWNERS
  MOST_BYTES = 20 * 1024 * 1024
  # A picture of more is no photograph from a field camera, but may fill the memory.
  MOST_PIXELS = 120_000_000
  THUMB_PX = 480
  # What a file begins with, and how it is written anew.
  KINDS = {
    "image/jpeg" => [/\A\xFF\xD8\xFF/n, ".jpg", { Q: 92 }], "image/png" => [/\A\x89PNG\r\n\x1A\n/n, ".png", {}],
    "image/webp" => [/\ARIFF.{4}WEBP/mn, ".webp", { Q: 90 }]
  }.freeze

  belongs_to :fieldbook, default: -> { Fieldbook.current }
  belongs_to :by, class_name: "Observer", optional: true

  scope :standing, -> { where(removed_at: nil) }

  # @param owner [Site, Profile, Horizon, Reading]
  # @param bytes [String]
  # @param name [String, nil] of the file, kept as the caption without its path
  # @param token [String, nil] by which whoever took it speaks of it before it has a number
  # @raise [Grittle::InvalidInput] for what is no JPEG, PNG or WebP picture, by its content
  def self.make(owner, bytes, name: nil, token: nil)
    known = token && find_by(token: token, fieldbook: Fieldbook.current)
    return known if known

    media_type = kind_of(bytes)
    image = bare(read(bytes))
    rewritten = image.write_to_buffer(KINDS[media_type][1], strip: true, **KINDS[media_type][2])
    photo =
      new(
        of: OWNERS.key(owner.class.name),
        of_id: owner.id,
        digest: Digest::SHA256.hexdigest(rewritten),
        media_type: media_type,
        caption: caption(name),
        token: token,
        width: image.width,
        height: image.height,
        bytes: rewritten.bytesize,
        added_at: Time.now.utc,
        by: Acting.person
      )
    photo.keep(rewritten)
    photo.save!
    photo
  rescue Vips::Error
    refuse("The picture cannot be read: the file is damaged or is something else.")
  end

  # A picture that is no photograph of the soil, such as a logo.
  # @param bytes [String]
  # @param most_px [Integer] of its longer side
  # @return [String] as PNG, without anything but its pixels
  # @raise [Grittle::InvalidInput]
  def self.small(bytes, most_px)
    kind_of(bytes)
    image = bare(read(bytes))
    image = image.thumbnail_image(most_px, height: most_px, size: :down)
    image.pngsave_buffer(strip: true)
  rescue Vips::Error
    refuse("The picture cannot be read: the file is damaged or is something else.")
  end

  # @param encoded [String] base64
  # @return [Boolean] whether it is a picture that can be printed
  def self.picture?(encoded)
    !kind_of(Base64.strict_decode64(encoded)).nil?
  rescue ArgumentError, Grittle::InvalidInput
    false
  end

  # Fields that speak of more than the picture: where it was taken, and what anybody wrote into it.
  BAGGAGE = /GPS|xmp|iptc|Description|Comment|Artist|Make/

  # A picture of a fieldbook that is imported must be as it was written there.
  # @raise [Grittle::InvalidInput]
  def self.check_clean(bytes, media_type, digest)
    refuse("The picture #{digest[0, 12]} is not what its row says.") \
      unless kind_of(bytes) == media_type && Digest::SHA256.hexdigest(bytes) == digest
    refuse("The picture #{digest[0, 12]} carries more than a picture.") if read(bytes).get_fields.grep(BAGGAGE).any?
  rescue Vips::Error
    refuse("The picture #{digest[0, 12]} cannot be read.")
  end

  # @return [String] media type, by what the file begins with and not by what it is called
  def self.kind_of(bytes)
    refuse("A photo has at most #{MOST_BYTES / 1024 / 1024} MB.") if bytes.bytesize > MOST_BYTES
    found = KINDS.find { |_, (opening, _)| bytes.b.match?(opening) }
    found ? found.first : refuse("This is no JPEG, PNG or WebP picture, whatever its name says.")
  end

  def self.read(bytes)
    image = Vips::Image.new_from_buffer(bytes, "")
    if image.width * image.height > MOST_PIXELS
      refuse(
        "The picture has more than #{MOST_PIXELS / 1_000_000} million pixels."
      )
    end
    image
  end

  # Upright, in the colours of a screen, and nothing but pixels.
  def self.bare(image)
    image = image.autorot
    image = image.icc_transform("srgb") if image.get_fields.include?("icc-profile-data")
    image.mutate do |copy|
      copy.get_fields.grep(/exif|xmp|iptc|icc|photoshop|orientation/).each { |field| copy.remove!(field) }
    end
  end

  # The name without any path, with signs that a name may hold.
  def self.caption(name) = File.basename(name.to_s.tr("\\", "/")).gsub(/[^\p{L}\p{N} ._()-]/, "")[0, 200].presence

  def self.refuse(sentence)
    raise(Grittle::InvalidInput, [Grittle::Problem.new(pointer: "/photo", sentence: sentence)])
  end
  private_class_method :kind_of, :read, :bare, :caption, :refuse

  # @return [String] path of the picture, or of its thumbnail
  def path(thumb: false)
    File.join(
      Files.folder("photos"),
      digest[0, 2],
      thumb ? "#{digest}-#{THUMB_PX}.jpg" : "#{digest}#{KINDS[media_type][1]}"
    )
  end

  # Removes the picture, unless another row has the same or a frozen report shows it.
  def throw_away
    return if Photo.exists?(digest: digest) || Report.where.not(frozen_at: nil).exists?(["content LIKE ?",
                                                                                         "%#{digest}%"])

    FileUtils.rm_f([path, path(thumb: true)])
  end

  # Lays the picture into its folder, and a small one beside it.
  # @param picture [String] bytes
  def keep(picture)
    FileUtils.mkdir_p(File.dirname(path))
    Files.write(path, picture)
    Files.write(
      path(thumb: true),
      Vips::Image.thumbnail_buffer(picture, THUMB_PX, size: :down).jpegsave_buffer(Q: 82, strip: true)
    )
  end
end
