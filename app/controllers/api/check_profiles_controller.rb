# Which checks run for a project or a client, and how severe they are; in and out as a file.
module Api
  class CheckProfilesController < BaseController
    takes profile: :any, file: :file, for_client: :flag, as: :text

    def show
      return render(json: profile_json) unless params[:as] == "file"

      send_data JSON.pretty_generate(profile.given), filename: "checks.json", type: "application/json"
    end

    # What a file would change: nothing is kept. params: file.
    def create
      profile
      read = given
      changes = profile.preview(read)
      render json: { given: read.slice("checks", "own"), changes: changes }
    end

    # params: profile: see Glossema::Checks::Profile; or file: one as it went out; or for_client: what the
    # project keeps becomes its client's.
    def update
      params[:for_client] ? profile.keep_for_client : profile.keep(given)
      changed
    end

    def destroy
      profile.drop
      changed
    end

    private

    def changed
      project.announce("terms") if params[:project_id]
      render json: profile_json
    end

    def profile = @profile ||= CheckProfile.new(owner)

    def given
      return object(:profile) unless params[:file]

      JSON.parse(uploads(:file).first.read.force_encoding("UTF-8"))
    rescue JSON::ParserError, EncodingError
      raise Glossema::Refused.new("profile-broken.no-object")
    end

    def profile_json
      { from: profile.from, client: profile.client&.name, given: profile.given, checks: checks,
        languages: [owner.try(:source_lang), owner.try(:target_lang)].compact }
    end

    # What there is to choose from, as it is when nothing else is said.
    def checks
      kinds = Glossema::Checks.all.map do |kind|
        { code: kind.code, group: kind.group, parameters: kind.parameters,
          level: kind.off? ? Glossema::Checks::Profile::OFF : kind.level }
      end
      across = Glossema::Checks::Across::CODES.map do |code|
        { code: code, group: "consistency", parameters: {}, level: Glossema::Checks::Across::LEVEL }
      end
      kinds + across
    end
  end
end
