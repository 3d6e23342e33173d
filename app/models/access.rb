# Who may do what with memories and termbases: their owner all, those they were given to what they were given.
class Access
  def initialize(user)
    @user = user
  end

  # kind: Memory or Termbase. Relations of those the user may see, and owns; of deleted ones only own ones.
  def readable(kind) = owned(kind).or(kind.present.where(id: given(kind, Share.accepted)))
  def owned(kind) = kind.where(user_id: @user.id)

  # "own", or of Share::RIGHTS; nil without access.
  def right(item)
    return "own" if item.user_id == @user.id

    Share.accepted.find_by(user: @user, item: item)&.right
  end

  # Raises Refused "share-right" where the user may see it but lacks the right needed: of Share::RIGHTS.
  def allowed!(item, needed)
    right = right(item)
    return item if right == "own" || Share.enough?(right, needed)

    raise Glossema::Refused.new("share-right.#{right || "view"}", name: item.name,
      owner: item.user&.name.to_s)
  end

  # Raises Refused "share-owner" for what only its owner may do.
  def owned!(item)
    return item if item.user_id == @user.id

    raise Glossema::Refused.new("share-owner", name: item.name, owner: item.user&.name.to_s)
  end

  private

  def given(kind, shares) = shares.where(user: @user, item_type: kind.name).select(:item_id)
end
