# The name of an uploaded file as it is kept: no folders, nothing that cannot be seen or that turns the
# reading direction, and not endless. Prepended to uploads, so that nobody meets another name.
module UploadName
  LONGEST = 180
  UNSEEN = /[[:cntrl:]\u00AD\u200B-\u200F\u2028-\u202E\u2060-\u2069\uFEFF]/
  NAMELESS = "file".freeze

  def self.clean(name)
    plain = name.to_s.dup.force_encoding("UTF-8").scrub("").gsub(UNSEEN, "").tr("\\", "/")
    base = plain.split("/").last.to_s.strip
    return NAMELESS if base.delete(".").empty?

    ending = File.extname(base)[0, 20]
    "#{base.delete_suffix(ending)[0, LONGEST - ending.length]}#{ending}"
  end

  def original_filename = UploadName.clean(super)
end
