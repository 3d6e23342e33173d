# The bytes of a file are on the disk before the record that names it is: a server that is killed between
# the two leaves bytes that nobody names, never a name without its bytes. Goes before Active Storage's
# changes, which would write them after the commit.
module BytesFirst
  def save
    upload
    super
  end

  # Once: Active Storage asks again after the commit.
  def upload
    return if @written

    super
    @written = true
  end
end
