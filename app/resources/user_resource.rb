# Who is signed in.
class UserResource
  include Alba::Resource

  attributes :id, :name, :email, :words_per_hour, :reference_pattern, :preferences
end
