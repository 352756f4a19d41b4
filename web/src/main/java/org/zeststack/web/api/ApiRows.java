package org.zeststack.web.api;

import java.util.List;

/**
 * A field that is a list of objects.
 *
 * @param fields of each of them
 * @param most how many may be given; one is needed
 */
record ApiRows(String name, List<ApiField> fields, int most, String description) {}
