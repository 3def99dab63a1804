-- Ids of models as they are called since version 2 of the plan; core/gear/renamed.ts has the same table.
CREATE FUNCTION todays_id(id text) RETURNS text LANGUAGE sql IMMUTABLE AS $$
  SELECT coalesce((SELECT t FROM (VALUES
    ('keyboard', 'line-unbalanced'),
    ('keyboard-balanced', 'line-impedance-balanced'),
    ('modular', 'line-hot'),
    ('pro-line', 'line-balanced'),
    ('resistor', 'load-resistor'),
    ('passive-box', 'passive-di'),
    ('passive-economy', 'passive-di-economy'),
    ('active-box', 'active-di'),
    ('active-box-10m', 'active-di-10m'),
    ('preamp-box', 'preamp-di'),
    ('speaker-box', 'speaker-di'),
    ('media-box', 'media-di'),
    ('media-pair', 'media-di-stereo'),
    ('reversed-box', 'reversed-di')
  ) AS renamed(o, t) WHERE o = id), id)
$$;--> statement-breakpoint
CREATE FUNCTION with_todays_ids(j jsonb) RETURNS jsonb LANGUAGE plpgsql IMMUTABLE AS $$
DECLARE
  sets boolean;
BEGIN
  IF jsonb_typeof(j) = 'array' THEN
    RETURN coalesce((SELECT jsonb_agg(with_todays_ids(e) ORDER BY n) FROM jsonb_array_elements(j) WITH ORDINALITY AS a(e, n)), '[]');
  ELSIF jsonb_typeof(j) = 'object' THEN
    -- A step of an edit that sets the model of a device, or the base of an own one.
    sets := coalesce(j -> 'path' IN ('["model"]', '["base"]'), false);
    RETURN coalesce((SELECT jsonb_object_agg(k, CASE
      WHEN jsonb_typeof(v) = 'string' AND (k IN ('model', 'base') OR (sets AND k IN ('from', 'to')))
        THEN to_jsonb(todays_id(v #>> '{}'))
      ELSE with_todays_ids(v) END) FROM jsonb_each(j) AS o(k, v)), '{}');
  END IF;
  RETURN j;
END
$$;--> statement-breakpoint
UPDATE show SET plan = with_todays_ids(plan) || '{"version": 2}' WHERE plan ->> 'version' = '1';--> statement-breakpoint
UPDATE print SET plan = with_todays_ids(plan) || '{"version": 2}', kit = with_todays_ids(kit) WHERE plan ->> 'version' = '1';--> statement-breakpoint
UPDATE edit SET ops = with_todays_ids(ops);--> statement-breakpoint
UPDATE kit_item SET item = with_todays_ids(item);--> statement-breakpoint
UPDATE kit_change SET before = with_todays_ids(before), after = with_todays_ids(after);--> statement-breakpoint
DROP FUNCTION with_todays_ids(jsonb);--> statement-breakpoint
DROP FUNCTION todays_id(text);
