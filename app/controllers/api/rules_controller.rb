# Segmentation rules: of a project, of a client for new projects, or of the user for all projects.
module Api
  class RulesController < BaseController
    takes as: :text, groups: RULE_GROUPS, file: :file, project_id: :id, client_id: :id

    def show
      if params[:as] == "srx"
        return send_data(rules.srx.xml || "", filename: "rules.srx", type: "application/xml")
      end

      render json: answer_of(rules)
    end

    # params: groups (see Srx.from_h), or a file in SRX.
    def update
      changing { rules.keep(given_rules) }
      render json: answer_of(rules)
    end

    def destroy
      changing { rules.drop }
      render json: answer_of(rules)
    end

    private

    def rules = @rules ||= Rules.new(owner)

    # Rules as they were can be brought back. Only the text of this project is cut anew; others keep their
    # cuts until they ask.
    def changing
      before = owner.rules
      yield
      return if owner.rules == before

      if params[:project_id]
        Operations::RulesChange.start(owner, by: current_user, before: { "rules" => before })
      end
      note_old(before) if before
    end

    def note_old(xml)
      place = owner.is_a?(User) ? nil : owner.name
      facts = { xml: xml, project_id: params[:project_id], client_id: params[:client_id] }.compact
      TrashItem.note(current_user, "rules", name: "", place: place, facts: facts)
    end

    def answer_of(rules)
      {
        from: rules.from,
        groups: rules.srx.to_h,
        sample: rules.sample,
        language:
          (owner.is_a?(Project) ? owner : current_user.projects.order(opened_at: :desc).first)&.source_lang ||
            "en"
      }
    end
  end
end
