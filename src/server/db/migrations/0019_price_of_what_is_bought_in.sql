-- What a cubic meter of compost, manure, straw or card costs; not known so far.
UPDATE garden SET prices_json = json_set(prices_json, '$.boughtInPerM3', NULL)
WHERE prices_json IS NOT NULL AND json_type(prices_json) = 'object';
