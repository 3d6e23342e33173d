# Who may do what with memories and termbases: their owner all, those they were given to what they were given.
class Access
  def initialize(user)
    @user = user
  end

  # kind: Memory or Termbase. Relations of those she may read, write in, and owns; of what was put away only
  # her own.
  def readable(kind) = owned(kind).or(kind.present.where(id: given(kind, Share.accepted)))
  def writable(kind) = owned(kind).or(kind.present.where(id: given(kind, Share.writing)))
  def owned(kind) = kind.where(user_id: @user.id)

  # "own", "write" or "read".
  def right(item)
    return "own" if item.user_id == @user.id

    writable(item.class).exists?(item.id) ? "write" : "read"
  end

  # Raises Refused "share-right" where somebody may read, and not write.
  def writable!(item)
    return item if %w[own write].include?(right(item))

    raise Glossema::Refused.new("share-right", name: item.name, owner: item.user&.name.to_s)
  end

  # Raises Refused "share-owner" for what only its owner may do.
  def owned!(item)
    return item if item.user_id == @user.id

    raise Glossema::Refused.new("share-owner", name: item.name, owner: item.user&.name.to_s)
  end

  private

  def given(kind, shares) = shares.where(user: @user, item_type: kind.name).select(:item_id)
end
