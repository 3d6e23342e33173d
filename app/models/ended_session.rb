# A session that was signed out. Cookies hold sessions here, and an answer that was on its way meanwhile sets
# the old one again: it is good for nothing any more.
class EndedSession < ApplicationRecord
  # Cookies live as long.
  KEPT_FOR = 14.days

  def self.end(token)
    return if token.blank?

    create_or_find_by!(token: token)
    where(created_at: ...KEPT_FOR.ago).delete_all
  end
end
